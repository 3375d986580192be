import { type ShootRecord, writeShotsCsv } from '@acorn-tally/core';
import { Suspense, useState } from 'react';
import { LinkButton } from '../parts/LinkButton';
import { saveFile } from '../parts/saveFile';
import { lazyPart } from '../state/lazyPart';

/** Fetched when it is first opened. */
const PasteShots = lazyPart(async () => (await import('./PasteShots')).PasteShots);

/** Shots from a spreadsheet, and to one. What was pasted and not yet taken stays while the panel is closed. */
export function ShotFiles({ shoot }: { readonly shoot: ShootRecord }) {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  return (
    <>
      <LinkButton onClick={() => setOpen(true)}>Paste shots</LinkButton>
      {shoot.shots.length > 0 && (
        <LinkButton onClick={() => saveFile('shots.csv', 'text/csv', writeShotsCsv(shoot.shots))}>
          Save as CSV
        </LinkButton>
      )}
      <Suspense fallback={null}>
        {isOpen && (
          <PasteShots opened onClose={() => setOpen(false)} shoot={shoot} text={text} onType={setText} />
        )}
      </Suspense>
    </>
  );
}
