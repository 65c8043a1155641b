import { RouterProvider } from 'react-router/dom';
import { SWRConfig } from 'swr';
import { get } from '../documents/api';
import { Door } from '../people/Door';
import { router } from './routes';
import { ToastProvider } from '../ui/Toast';
import { ThemeChoice } from './themeChoice';

export function App() {
  return (
    <ThemeChoice>
      <SWRConfig
        value={{ fetcher: get, shouldRetryOnError: true, errorRetryInterval: 3000, revalidateOnFocus: true }}
      >
        <ToastProvider>
          <Door>
            <RouterProvider router={router} />
          </Door>
        </ToastProvider>
      </SWRConfig>
    </ThemeChoice>
  );
}
