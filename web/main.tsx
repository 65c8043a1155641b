import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/fraunces/wght.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { takeNewest } from './offline/worker';
import { speakAsBefore } from './documents/speech';

speakAsBefore();
takeNewest();
const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
}
