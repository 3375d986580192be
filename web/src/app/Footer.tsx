import { IconAlertTriangle, IconArrowBackUp } from '@tabler/icons-react';
import { useRecords } from '../state/records';

/** The caution that always stands, whether all is saved, and undo. */
export function Footer() {
  const { saving, trouble, undoSteps, undo, retry } = useRecords();
  const last = undoSteps[undoSteps.length - 1];
  return (
    <footer className="foot">
      <span>A planning aid. The aircraft’s own warnings, your eyes and local flight rules come first.</span>
      <span className="foot-state">
        {saving === 'failed' && (
          <span role="alert" className="foot-trouble">
            <IconAlertTriangle size={14} aria-hidden /> Not saved: {trouble}{' '}
            <button type="button" onClick={() => void retry()}>
              Try again
            </button>
          </span>
        )}
        {saving === 'saving' && <span>saving …</span>}
        {saving === 'saved' && trouble && <span role="alert">{trouble}</span>}
        {last && (
          <button type="button" onClick={() => void undo()} title="Ctrl-Z">
            <IconArrowBackUp size={14} aria-hidden /> Undo: {last.label}
          </button>
        )}
      </span>
    </footer>
  );
}
