import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/martian-mono/wdth.css';
import { createRoot } from 'react-dom/client';
import { App } from './shell/App.tsx';
import { facesLoaded } from './sheet/text-width.ts';
import { watchKeys } from './ui/early-keys.ts';

watchKeys();
void facesLoaded().then(() => {
  createRoot(document.getElementById('root')!).render(<App />);
});
