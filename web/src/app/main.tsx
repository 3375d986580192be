import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import '@mantine/core/styles.css';
import './tokens.css';
import './app.css';
import '../charts/setup';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { followLook } from './LookChoice';

followLook();
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');

/** Charts measure their words once, so the figures' font comes first. */
const fonts = Promise.race([
  document.fonts.load('12px "Atkinson Hyperlegible Next Variable"'),
  new Promise((resolve) => setTimeout(resolve, 800)),
]);

void fonts.then(() =>
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  ),
);
