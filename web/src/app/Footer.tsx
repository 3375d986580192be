import { IconAlertTriangle, IconArrowBackUp, IconArrowForwardUp, IconCloudOff } from '@tabler/icons-react';
import { useMemo } from 'react';
import { LinkButton } from '../parts/LinkButton';
import { useRecords } from '../records/records';
import { conflictsIn, refusalsIn, savingOf } from '../records/saving';
import { loadAnew, useMissing } from '../state/lazyPart';
import styles from './Footer.module.css';
import { titleOf } from './titleOf';
import type { Panel } from './useOpened';

/** The caution that always stands, how far what was changed has come, undo and redo. */
export function Footer({ onOpen }: { readonly onOpen: (panel: Panel) => void }) {
  const { undoSteps, redoSteps, undo, redo } = useRecords();
  const last = undoSteps.at(-1);
  const next = redoSteps.at(-1);
  return (
    <footer className={styles.foot}>
      <span>A planning aid. The aircraft’s own warnings, your eyes and local flight rules come first.</span>
      <span className={styles.state}>
        <Saving onOpen={onOpen} />
        {last && (
          <LinkButton onClick={undo}>
            <IconArrowBackUp size={14} aria-hidden /> Undo: {last.label}
          </LinkButton>
        )}
        {next && (
          <LinkButton onClick={redo}>
            <IconArrowForwardUp size={14} aria-hidden /> Redo: {next.label}
          </LinkButton>
        )}
      </span>
    </footer>
  );
}

function Saving({ onOpen }: { readonly onOpen: (panel: Panel) => void }) {
  const { waiting, isKept, failures, trouble, damagedIds, retry } = useRecords();
  const missing = useMissing();
  const saving = savingOf({ waiting, failures });
  const conflicts = useMemo(() => conflictsIn(waiting), [waiting]);
  const [refusal] = useMemo(() => refusalsIn(waiting), [waiting]);
  return (
    <>
      {conflicts[0] && (
        <span role="alert" className={styles.trouble}>
          <IconAlertTriangle size={14} aria-hidden />{' '}
          {conflicts.length === 1
            ? `${titleOf(conflicts[0])} was changed elsewhere too.`
            : `${conflicts.length} records were changed elsewhere too.`}{' '}
          <LinkButton onClick={() => onOpen('versions')}>Choose</LinkButton>
        </span>
      )}
      {refusal && (
        <span role="alert" className={styles.trouble}>
          <IconAlertTriangle size={14} aria-hidden /> {titleOf(refusal)} is not saved: {refusal.halt.message}{' '}
          <LinkButton onClick={() => void retry()}>Try again</LinkButton>
        </span>
      )}
      {saving.state === 'waiting' && (
        <span role="status" className={styles.trouble}>
          <IconCloudOff size={14} aria-hidden /> {trouble} {inWords(saving.count, isKept)}{' '}
          <LinkButton onClick={() => void retry()}>Try again</LinkButton>
        </span>
      )}
      {saving.state === 'saving' && <span>saving …</span>}
      {saving.state === 'saved' && trouble && <span role="alert">{trouble}</span>}
      {saving.state === 'saved' && !trouble && conflicts.length === 0 && !refusal && <span>saved</span>}
      {missing !== 'nothing' && (
        <span role="status" className={styles.trouble}>
          <IconCloudOff size={14} aria-hidden /> A part of this page could not be fetched
          {missing === 'parts' ? '. ' : ': the server does not answer. All else works on.'}
          {missing === 'parts' && <LinkButton onClick={() => void loadAnew()}>Reload the page</LinkButton>}
        </span>
      )}
      {damagedIds.length > 0 && (
        <span role="alert" className={styles.trouble}>
          {damagedIds.length === 1 ? 'One record' : `${damagedIds.length} records`} cannot be read and are
          left out.
        </span>
      )}
    </>
  );
}

function inWords(count: number, isKept: boolean): string {
  const changed = count === 1 ? 'One change is' : `${count} changes are`;
  if (isKept) return `${changed} kept here, and sent when it does.`;
  return `${changed} only on this page: this browser’s storage takes nothing. Leave the page open until it is sent.`;
}
