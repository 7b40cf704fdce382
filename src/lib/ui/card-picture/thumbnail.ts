import { resolve } from '$app/paths';

/** The address of a photo's small picture, by the hash of the photo. */
export function thumbnailOf(hash: string): string {
	return `${resolve('/api/media/[hash]', { hash })}?size=thumbnail`;
}
