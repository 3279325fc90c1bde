import { notifyManager, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { Toaster } from 'sonner';
import { App } from './app.tsx';
import { Refusal } from './api/call.ts';
import './styles/studio.css';

// What is typed is kept in the cache of queries. Told at once, not a moment later as by default, it is on the screen when
// the key or press that changed it is through: no field is set back in between, and what is new can have the focus.
notifyManager.setScheduler((tell) => tell());

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      retry: (count, error) => error instanceof Refusal && error.unreachable && count < 5,
    },
  },
});

const place = document.getElementById('studio');
if (place)
  createRoot(place).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <BrowserRouter basename="/studio">
          <App />
        </BrowserRouter>
        <Toaster
          position="bottom-center"
          offset={24}
          mobileOffset={72}
          toastOptions={{ className: 'notice' }}
        />
      </QueryClientProvider>
    </StrictMode>,
  );
