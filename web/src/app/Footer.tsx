import { IconAlertTriangle, IconArrowBackUp } from '@tabler/icons-react';
import { LinkButton } from '../parts/LinkButton';
import { useRecords } from '../state/records';
import styles from './Footer.module.css';

/** The caution that always stands, whether all is saved, and undo. */
export function Footer() {
  const { saving, trouble, undoSteps, undo, retry } = useRecords();
  const last = undoSteps[undoSteps.length - 1];
  return (
    <footer className={styles.foot}>
      <span>A planning aid. The aircraft’s own warnings, your eyes and local flight rules come first.</span>
      <span className={styles.state}>
        {saving === 'failed' && (
          <span role="alert" className={styles.trouble}>
            <IconAlertTriangle size={14} aria-hidden /> Not saved: {trouble}{' '}
            <LinkButton onClick={() => void retry()}>Try again</LinkButton>
          </span>
        )}
        {saving === 'saving' && <span>saving …</span>}
        {saving === 'saved' && trouble && <span role="alert">{trouble}</span>}
        {last && (
          <LinkButton onClick={() => void undo()}>
            <IconArrowBackUp size={14} aria-hidden /> Undo: {last.label}
          </LinkButton>
        )}
      </span>
    </footer>
  );
}
