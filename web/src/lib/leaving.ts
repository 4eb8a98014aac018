import { beforeNavigate } from '$app/navigation';

interface Unsaved {
  /** Whether something typed is not at the server yet. */
  readonly is: () => boolean;
  /** Saves it; false where it could not be. */
  readonly save: () => Promise<boolean>;
  /** Tells that the page was left with something unsaved; leaving again drops it. */
  readonly tell: () => void;
}

/** Following a link loses nothing that was typed: it is saved first. Where that fails the page stays, once, and says so. */
export function savedOnLeaving({ is, save, tell }: Unsaved): void {
  let told = false;
  beforeNavigate(({ cancel, to, willUnload }) => {
    if (willUnload || told || !is()) return;
    cancel();
    void save().then((done) => {
      if (done && to) return void location.assign(to.url);
      told = true;
      tell();
    });
  });
}
