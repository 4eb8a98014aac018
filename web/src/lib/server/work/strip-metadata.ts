import sharp, { type Metadata } from 'sharp';

export interface Photo {
  readonly type: 'image/jpeg' | 'image/png' | 'image/webp';
  readonly width: number;
  readonly height: number;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

// Nothing else is even looked into: other readers run what they find, or fetch it.
sharp.block({ operation: ['VipsForeignLoad'] });
sharp.unblock({ operation: ['VipsForeignLoadJpeg', 'VipsForeignLoadPng', 'VipsForeignLoadWebp'] });

/** Pixels a picture may unpack to, and how many it keeps along its longer side: a plate stays readable. */
const MOST_PIXELS = 100_000_000;
const LONGEST_SIDE = 4096;
const QUALITY = 88;
const UNREADABLE = 'This is not a whole picture. It may be cut short: choose the JPEG, PNG or WebP file again.';

/**
 * A photograph without what was written beside it (place, time, camera), upright, of a size that shows a plate. A refusal
 * in words where it is no picture, is cut short or unpacks to too much.
 */
export async function stripMetadata(content: Uint8Array): Promise<Photo | { readonly refusal: string }> {
  const read = () => sharp(content, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
  const found = await read()
    .metadata()
    .catch((cause: unknown) => cause);
  if (found instanceof Error)
    return {
      refusal: /pixel limit/i.test(found.message)
        ? 'The picture has more than 100 million pixels. Make it smaller.'
        : 'This is not a picture that can be read. Choose a JPEG, PNG or WebP file.',
    };
  const { format, pages = 1 } = found as Metadata;
  if (pages > 1) return { refusal: 'The picture moves. Choose a still one.' };
  const upright = read()
    .autoOrient()
    .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true });
  const written = format === 'png' ? upright.png() : upright.toFormat(format, { quality: QUALITY });
  const made = await written.toBuffer({ resolveWithObject: true }).catch(() => undefined);
  if (!made) return { refusal: UNREADABLE };
  return {
    type: `image/${format as 'jpeg' | 'png' | 'webp'}`,
    width: made.info.width,
    height: made.info.height,
    bytes: new Uint8Array(made.data),
  };
}
