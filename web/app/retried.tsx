import { type ComponentType, useEffect, useState } from 'react';
import type { RouteObject } from 'react-router';
import { ScreenFailed } from '../documents/ScreenFailed';

type Load = () => Promise<{ Component: ComponentType }>;
/** A route whose code is loaded when it is opened, and those below it. */
export interface LazyRoute extends Omit<RouteObject, 'lazy' | 'children' | 'index'> {
  index?: boolean;
  lazy?: Load;
  children?: readonly LazyRoute[];
}

/**
 * Routes whose code may fail to load: such a one says so in its own place, and is loaded again each time it is opened. The router itself would
 * show nothing at all in the place of the whole page.
 */
export function retried(routes: readonly LazyRoute[]): RouteObject[] {
  return routes.map(({ lazy, children, ...route }) => {
    const own = { ...route, ...(lazy ? { lazy: () => lazy().catch(() => ({ Component: again(lazy) })) } : {}) };
    return (children ? { ...own, children: retried(children) } : own) as RouteObject;
  });
}

function again(load: Load): ComponentType {
  return function Again() {
    const [Screen, setScreen] = useState<ComponentType | null>(null);
    useEffect(() => {
      load().then(
        ({ Component }) => setScreen(() => Component),
        () => undefined,
      );
    }, []);
    return Screen ? <Screen /> : <ScreenFailed />;
  };
}
