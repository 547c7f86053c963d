import '@fontsource-variable/bricolage-grotesque/wght.css';
import '@fontsource-variable/figtree/wght.css';
import './app.css';
import './forced-colors.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { fetchAhead } from './api/fetch-ahead.ts';
import { queries } from './api/queries.ts';
import { App } from './app.tsx';
import { router } from './routes.tsx';
import { bindAddress } from './session/address.ts';
import { keepApplication } from './session/keep-application.ts';
import { paintTheme, printOnPaper } from './session/use-theme.ts';
import { tellFocusWay } from './ui/keyboard/focus-way.ts';

paintTheme();
printOnPaper();
tellFocusWay();
// after the page itself: what is kept for later shall not delay what is wanted now
window.addEventListener('load', () => void keepApplication());
bindAddress(router);

/** Who is here was asked with the page: its answer is there, or the page is drawn without it. */
const AHEAD_MS = 80;
const late = new Promise((resolve) => setTimeout(resolve, AHEAD_MS));
void Promise.race([fetchAhead(queries, window.location.pathname), late]).then(() =>
  createRoot(document.getElementById('root') as HTMLElement).render(
    <StrictMode>
      <App />
    </StrictMode>,
  ),
);
