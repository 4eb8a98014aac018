// Photographs as they are kept. Exif 2.32 (CIPA DC-008): orientation 6 is a picture to be turned right by a quarter; GPS
// tags say where it was taken. That metadata leaves no trace is read by the package that wrote it and by its bytes.
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { stripMetadata } from '../../src/lib/server/work/strip-metadata.ts';

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: { r: 180, g: 90, b: 30 } } });
const kept = async (content: Uint8Array) => {
  const photo = await stripMetadata(content);
  if ('refusal' in photo) throw new Error(photo.refusal);
  return photo;
};
const refusal = async (content: Uint8Array) => {
  const photo = await stripMetadata(content);
  return 'refusal' in photo ? photo.refusal : 'taken';
};

describe('a photograph', () => {
  it('loses place, camera and time, and stands upright', async () => {
    const told = { IFD0: { Make: 'Tell-Tale' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '48/1 12/1 30/1' } };
    const content = await picture(400, 300).withExif(told).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    expect(content.includes('Tell-Tale')).toBe(true);
    const photo = await kept(content);
    expect([photo.type, photo.width, photo.height]).toEqual(['image/jpeg', 300, 400]);
    const { exif, xmp, iptc, orientation } = await sharp(photo.bytes).metadata();
    expect([exif, xmp, iptc, orientation]).toEqual([undefined, undefined, undefined, undefined]);
    expect(Buffer.from(photo.bytes).includes('Tell-Tale')).toBe(false);
  });

  it.each(['png', 'webp'] as const)('stays a %s', async (format) => {
    const photo = await kept(await picture(40, 30).toFormat(format).toBuffer());
    expect([photo.type, photo.width, photo.height]).toEqual([`image/${format}`, 40, 30]);
  });

  it('is made small enough to be sent, large enough to read a plate', async () => {
    const photo = await kept(await picture(8000, 2000).jpeg().toBuffer());
    expect([photo.width, photo.height]).toEqual([4096, 1024]);
  });

  it('is refused where it is cut short, in every format and at any place', async () => {
    for (const format of ['jpeg', 'png', 'webp'] as const) {
      const noise = sharp({
        create: {
          width: 64,
          height: 64,
          channels: 3,
          background: 'black',
          noise: { type: 'gaussian', mean: 128, sigma: 60 },
        },
      });
      const content = await noise.toFormat(format).toBuffer();
      for (const share of [0.05, 0.4, 0.7, 0.95]) {
        expect(await refusal(content.subarray(0, Math.floor(share * content.length))), `${format} ${share}`).toMatch(
          /cut short|not a picture/,
        );
      }
    }
  });

  it('is refused where it is none, moves, or unpacks to too much', async () => {
    expect(await refusal(Buffer.from('<script>alert(1)</script>'))).toContain('not a picture');
    expect(await refusal(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))).toContain(
      'not a picture',
    );
    expect(await refusal(await picture(9, 9).gif().toBuffer())).toContain('not a picture');
    expect(await refusal(await picture(11_000, 10_000).png({ compressionLevel: 9 }).toBuffer())).toContain(
      '100 million',
    );
  });
});
