import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import '../theme/styles';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { followLook } from '../theme/followLook';
import { App } from './App';
import { fetchViewAt } from './viewAt';

followLook();
fetchViewAt(location.pathname);
const root = document.getElementById('root');
if (!root) throw new Error('The page has no root.');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
