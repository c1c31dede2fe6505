import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { UnreachableError } from './api/request.ts';
import { App } from './app.tsx';
import './styles.css';

const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 30_000, retry: (count, error) => error instanceof UnreachableError && count < 4, refetchOnWindowFocus: true } },
});

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}
