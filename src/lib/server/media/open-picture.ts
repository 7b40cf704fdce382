import { fileTypeFromBuffer } from 'file-type';
import sharp, { type Sharp } from 'sharp';
import { bad, good, type Outcome } from '../../core/problem.ts';

const TAKEN = new Set(['image/jpeg', 'image/png', 'image/webp']);

/**
 * Opens a picture that somebody sent, by what its bytes are and not by what it is called: JPEG, PNG or WebP. Other kinds (SVG, which
 * may name further files, among them) are never read. What is damaged, or holds more than `mostPixels`, is refused once it is read.
 */
export async function openPicture(bytes: Uint8Array, mostPixels: number): Promise<Outcome<Sharp>> {
	const kind = await fileTypeFromBuffer(bytes).catch(() => undefined);
	if (kind && TAKEN.has(kind.mime)) {
		return good(sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error' }));
	}
	const message = kind
		? `this is ${kind.ext.toUpperCase()}`
		: 'this is no picture that can be read';
	return bad([{ message, remedy: 'Pictures may be JPEG, PNG or WebP.' }]);
}
