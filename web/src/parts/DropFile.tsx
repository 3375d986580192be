import '@mantine/dropzone/styles.css';
import { Text } from '@mantine/core';
import { Dropzone } from '@mantine/dropzone';
import { IconFileUpload } from '@tabler/icons-react';
import styles from './DropFile.module.css';

interface Props {
  /** What a screen reader calls it, as in "Hourly CSV file". */
  readonly label: string;
  /** What may be dropped here, in words. */
  readonly words: string;
  /** Takes several at once. */
  readonly several?: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** A file, dropped here or chosen; what is in it says whether it is one of ours, not its name. */
export function DropFile({ label, words, several = false, onFiles }: Props) {
  return (
    <Dropzone
      className={styles.drop}
      multiple={several}
      inputProps={{ 'aria-label': label }}
      onDrop={onFiles}
    >
      <IconFileUpload size={18} aria-hidden />
      <Text size="sm">{words}</Text>
    </Dropzone>
  );
}
