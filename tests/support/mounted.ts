import { createRenderer, type App } from 'vue';

interface Node {
  parent: Node | null;
}
/** Draws nothing: what a composable needs of a component is that it is set up, updated and taken away. */
const { createApp } = createRenderer<Node, Node>({
  insert: (child, parent) => {
    child.parent = parent;
  },
  remove: (child) => {
    child.parent = null;
  },
  createElement: () => ({ parent: null }),
  createText: () => ({ parent: null }),
  createComment: () => ({ parent: null }),
  setText: () => undefined,
  setElementText: () => undefined,
  patchProp: () => undefined,
  parentNode: ({ parent }) => parent,
  nextSibling: () => null,
});

export interface Mounted<T> {
  used: T;
  unmount: () => void;
}

/** What a composable gives inside a component that is there until it is unmounted. */
export function mounted<T>(use: () => T, plugins: (app: App<Node>) => void = () => undefined): Mounted<T> {
  let used: T | undefined;
  const app = createApp({
    setup() {
      used = use();
      return () => null;
    },
  });
  plugins(app);
  app.mount({ parent: null });
  return { used: used as T, unmount: () => app.unmount() };
}
