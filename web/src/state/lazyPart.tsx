import { type ComponentType, lazy } from 'react';
import { create } from 'zustand';
import { call } from '../api/client';

/** Whether parts of the page are missing because they could not be fetched, and whether the server answers again. */
export const useMissing = create<'nothing' | 'serverToo' | 'parts'>(() => 'nothing');

/** The server is asked again after so long. */
const againMs = 5000;

/**
 * A component that is fetched when it is first drawn. Where that fails nothing else goes down: another stands in its place.
 * Browsers do not ask again for a module that failed (HTML standard, module map), so only a page loaded anew brings it.
 */
// biome-ignore lint/suspicious/noExplicitAny: the props of whichever component it is
export function lazyPart<Part extends ComponentType<any>>(
  load: () => Promise<Part>,
  Missing: ComponentType = Nothing,
) {
  return lazy(async () => ({ default: (await fetchPart(load)) ?? (Missing as Part) }));
}

/** Fetches a part of the page; null where it cannot be fetched. */
export async function fetchPart<Part>(load: () => Promise<Part>): Promise<Part | null> {
  try {
    return await load();
  } catch {
    if (useMissing.getState() === 'nothing') void askUntilServed();
    return null;
  }
}

/** Loads the page anew, if the server is there to send it: what stands is worth more than none. */
export async function loadAnew(): Promise<void> {
  await askUntilServed();
  window.location.reload();
}

async function askUntilServed(): Promise<void> {
  while (!(await isServed())) {
    useMissing.setState('serverToo', true);
    await new Promise((resolve) => setTimeout(resolve, againMs));
  }
  useMissing.setState('parts', true);
}

async function isServed(): Promise<boolean> {
  try {
    await call('GET', '/health');
    return true;
  } catch {
    return false;
  }
}

function Nothing() {
  return null;
}
