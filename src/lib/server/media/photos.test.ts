import { withGulls } from '../gulls.fixture.ts';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { undo } from '../journal/undo.ts';
import { addPhoto, photosOf, preparePhoto, readPicture } from './photos.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { rowId } from '../../core/row-id.ts';

const at = withGulls();

describe('photos', () => {
	const jpeg = () =>
		sharp({ create: { width: 3000, height: 20, channels: 3, background: 'red' } })
			.withExif({ IFD0: { Copyright: 'nobody' }, IFD3: { GPSLatitudeRef: 'N' } })
			.jpeg()
			.toBuffer();

	test('are made smaller, rid of metadata, kept once, and come back with undo', async () => {
		const source = await jpeg();
		expect((await sharp(source).metadata()).exif).toBeDefined();
		await at.log('1');
		await addPhoto(at.collection, rowId(1), source);
		await addPhoto(at.collection, rowId(1), source);
		const photos = await photosOf(at.collection.db, [rowId(1)]);
		expect(new Set(photos.map(({ hash }) => hash)).size).toBe(1);
		const kept = await readPicture(at.collection.db, photos[0]?.hash ?? '', 'whole');
		const { width, format, exif } = await sharp(kept ?? Buffer.alloc(0)).metadata();
		expect({ width, format, exif }).toEqual({ width: 2000, format: 'webp', exif: undefined });
		const small = await readPicture(at.collection.db, photos[0]?.hash ?? '', 'thumbnail');
		expect((await sharp(small ?? Buffer.alloc(0)).metadata()).width).toBe(320);
		await removeRelease(at.collection, 'gulls-1996');
		expect(await photosOf(at.collection.db, [rowId(1)])).toEqual([]);
		await undo(at.collection);
		expect(await photosOf(at.collection.db, [rowId(1)])).toHaveLength(2);
	});

	test.each<[string, () => Promise<Uint8Array>, RegExp]>([
		['nothing', async () => new Uint8Array(), /empty/],
		['text', async () => new TextEncoder().encode('hello'), /no picture/],
		[
			'a GIF',
			() =>
				sharp({ create: { width: 2, height: 2, channels: 3, background: 'red' } })
					.gif()
					.toBuffer(),
			/this is GIF/
		],
		['a cut-off JPEG', async () => (await jpeg()).subarray(0, 400), /damaged/],
		[
			'a drawing, which may name other files',
			async () =>
				new TextEncoder().encode(
					'<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><image href="file:///etc/hostname"/></svg>'
				),
			/this is (XML|SVG)/
		],
		[
			'a page that calls itself a picture',
			async () => new TextEncoder().encode('<html><script>alert(1)</script></html>'),
			/no picture/
		],
		[
			'a small file of very many pixels',
			() =>
				sharp({ create: { width: 9000, height: 9000, channels: 3, background: 'red' } })
					.png({ compressionLevel: 9 })
					.toBuffer(),
			/more than 60 million pixels/
		],
		['too much', async () => new Uint8Array(20 * 1024 * 1024 + 1), /larger than 20 MB/]
	])('%s is refused with its reason', async (_, file, message) => {
		const outcome = await preparePhoto(await file());
		expect(outcome.ok ? '' : outcome.problems[0]?.message).toMatch(message);
	});
});
