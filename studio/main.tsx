// First, since it says in which order the layers lie.
import './styles/studio.css';
import { notifyManager, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './app.tsx';
import { Refusal } from './api/call.ts';
import { fetched } from './ui/fetched.tsx';

// What is typed is kept in the cache of queries. Told at once, not a moment later as by default, it is on the screen when
// the key or press that changed it is through: no field is set back in between, and what is new can have the focus.
notifyManager.setScheduler((tell) => tell());

const client = new QueryClient({
  defaultOptions: {
    // Without a connection what was pressed fails at once and says so, instead of waiting in silence for one.
    mutations: { networkMode: 'always' },
    queries: {
      staleTime: 30_000,
      retry: (count, error) => error instanceof Refusal && error.unreachable && count < 5,
    },
  },
});

const Notices = fetched(
  () => import('./ui/notices.tsx').then((module) => module.Notices),
  () => null,
);

const place = document.getElementById('studio');
if (place)
  createRoot(place).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <BrowserRouter basename="/studio">
          <App />
        </BrowserRouter>
        <Notices />
      </QueryClientProvider>
    </StrictMode>,
  );
