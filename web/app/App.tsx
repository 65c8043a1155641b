import { RouterProvider } from 'react-router/dom';
import { SWRConfig } from 'swr';
import { get } from './api';
import { router } from './routes';
import { Spoken } from '../ui/Spoken';
import { ThemeChoice } from './themeChoice';

export function App() {
  return (
    <ThemeChoice>
      <SWRConfig value={{ fetcher: get, shouldRetryOnError: true, errorRetryInterval: 3000, revalidateOnFocus: true }}>
        <Spoken>
          <RouterProvider router={router} />
        </Spoken>
      </SWRConfig>
    </ThemeChoice>
  );
}
