import '../ui/styles.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { setNonce } from 'get-nonce';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { refresh } from '../session/keys';
import { StoreContext } from '../session/storeContext';
import { openStore } from './openStore';
import { makeRouter } from './routes';

const nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce;
if (nonce) setNonce(nonce);

const start = async (): Promise<void> => {
  const root = document.querySelector('#root');
  if (!root) return;
  const { store, notice } = await openStore();
  const client = new QueryClient({
    defaultOptions: { queries: { networkMode: 'always', retry: false, refetchOnWindowFocus: false } },
  });
  store.subscribe(change => refresh(client, change));
  createRoot(root).render(
    <StrictMode>
      <StoreContext value={store}>
        <QueryClientProvider client={client}>
          <RouterProvider router={makeRouter(notice)} />
        </QueryClientProvider>
      </StoreContext>
    </StrictMode>,
  );
};

void start();
