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
  readonly onFile: (file: File) => void;
}

/** A file, dropped here or chosen; what is in it says whether it is one of ours, not its name. */
export function DropFile({ label, words, onFile }: Props) {
  return (
    <Dropzone
      className={styles.drop}
      multiple={false}
      inputProps={{ 'aria-label': label }}
      onDrop={([file]) => file && onFile(file)}
    >
      <IconFileUpload size={18} aria-hidden />
      <Text size="sm">{words}</Text>
    </Dropzone>
  );
}
