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
 * Routes whose code may fail to load: the failure is shown in the place of the screen, and the code is asked
 * for again each time the screen is opened. By itself the router would show its fallback, an empty page.
 */
export function withRetry(routes: readonly LazyRoute[]): RouteObject[] {
  return routes.map(({ lazy, children, ...route }) => {
    const own = {
      ...route,
      ...(lazy ? { lazy: () => lazy().catch(() => ({ Component: retryingScreen(lazy) })) } : {}),
    };
    return (children ? { ...own, children: withRetry(children) } : own) as RouteObject;
  });
}

function retryingScreen(load: Load): ComponentType {
  return function RetryingScreen() {
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
