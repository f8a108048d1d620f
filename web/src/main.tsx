import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App.tsx';
import { Refused, SignedOut, WorkingOut } from './api/client.ts';
import { preloadScreen } from './screens.ts';
import './main.css';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      // A refusal will be refused again; only a server that is away is worth asking twice.
      retry: (count, error) =>
        error instanceof WorkingOut ||
        (!(error instanceof SignedOut) && !(error instanceof Refused && error.status < 500) && count < 20),
      retryDelay: (attempt, error) =>
        error instanceof WorkingOut ? 1000 : Math.min(1000 * 2 ** attempt, 5000),
      refetchOnWindowFocus: true,
      staleTime: 5000,
    },
  },
});

// While the door is asked, the screen comes too.
preloadScreen(location.pathname);
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={client}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
