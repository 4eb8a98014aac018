type Tree = Record<string, unknown>;

/** What stands at a dotted path of a document. */
export function read(root: object, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as Tree | undefined)?.[key], root);
}

/** Sets what stands at a dotted path; undefined removes it. */
export function write(root: object, path: string, value: unknown): void {
  const keys = path.split('.');
  const last = keys.pop() ?? '';
  const parent = keys.reduce<unknown>((at, key) => ((at as Tree)[key] ??= {}), root) as Tree;
  if (value === undefined) Reflect.deleteProperty(parent, last);
  else parent[last] = value;
}
