// First, since it says in which order the layers lie.
import '../styles/studio.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { CaptureScreen } from './capture-screen.tsx';

// What is asked here is on this device, or is asked again by itself: a missing network stops nothing.
const client = new QueryClient({ defaultOptions: { queries: { networkMode: 'always', retry: false } } });

const place = document.getElementById('capture');
if (place)
  createRoot(place).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <CaptureScreen />
      </QueryClientProvider>
    </StrictMode>,
  );

// Its files are then on this device, and what is kept can go out with the screen closed.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  navigator.serviceWorker
    .register('/studio/capture/worker.js', { scope: '/studio/capture/' })
    .catch(() => undefined);
