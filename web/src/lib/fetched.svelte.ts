/** ms between two tries. */
const AGAIN = 2000;

let away = $state(0);

/** Whether something the page needs cannot be fetched at the moment. */
export const isAway = (): boolean => away > 0;

type Load<Code> = () => Promise<Code>;

/** Code that the page fetches when it is first needed; tried again while the server is away, until nobody wants it any more. */
export function fetched<Code>(load: Load<Code>): Promise<Code>;
export function fetched<Code>(load: Load<Code>, wanted: () => boolean): Promise<Code | undefined>;
export async function fetched<Code>(load: Load<Code>, wanted = (): boolean => true): Promise<Code | undefined> {
  let told = false;
  try {
    while (wanted()) {
      try {
        return await load();
      } catch {
        if (!told) away++;
        told = true;
        await new Promise((resolve) => setTimeout(resolve, AGAIN));
      }
    }
    return undefined;
  } finally {
    if (told) away--;
  }
}
