import '../ui/styles.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { makeOwnCopy } from '../session/ownCopy';
import { OwnCopyContext } from '../session/useOwnCopy';
import { WorkshopContext } from '../session/workshop';
import { idle } from '../ui/idle';
import { openWorkshop } from './openWorkshop';
import { fetchAhead, Views } from './routes';
import { NotOpenYet } from './NotOpenYet';

const learnHands = async (): Promise<void> => {
  await idle();
  const { practise } = await import('./firstTouch');
  await practise(idle);
};

const start = async (): Promise<void> => {
  const place = document.querySelector('#root');
  if (!place) return;
  const ahead = fetchAhead(window.location.pathname);
  const root = createRoot(place);
  const { workshop, notice, lost } = await openWorkshop(() => root.render(<NotOpenYet />));
  await ahead;
  const ownCopy = makeOwnCopy(workshop, window);
  root.render(
    <StrictMode>
      <WorkshopContext value={workshop}>
        <QueryClientProvider client={workshop.client}>
          <OwnCopyContext value={ownCopy}>
            <BrowserRouter>
              <Views notice={notice} lost={lost} />
            </BrowserRouter>
          </OwnCopyContext>
        </QueryClientProvider>
      </WorkshopContext>
    </StrictMode>,
  );
  // Without it the first letter takes a little longer.
  void learnHands().catch(() => undefined);
};

void start();
