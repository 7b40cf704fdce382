import { openWriter, type Collection } from '../database/open.ts';
import type { Announcement } from '../database/news.ts';
import type { Settings } from '../database/settings.ts';
import { whyUnwritten, type Unwritten } from '../database/why-unwritten.ts';
import { inWindow, type WindowId } from '../journal/window.ts';
import { COLLECTION_UPKEEP } from './collection-upkeep.ts';

/** What a change did that another process made: what it gave, and what open windows are to hear. */
export type WrittenAside<Value> =
	| { readonly kind: 'done'; readonly value: Value; readonly told: readonly Announcement[] }
	| { readonly kind: 'unwritten'; readonly why: Unwritten };

/**
 * Makes a change in a worker, on a client of its own.
 *
 * @param takeTurn waits until the server itself writes nothing, and goes on writing nothing until the worker is done
 */
export async function withWriter<Value>(
	settings: Settings,
	window: WindowId | null,
	takeTurn: () => Promise<void>,
	change: (collection: Collection) => Promise<Value>
): Promise<WrittenAside<Value>> {
	const collection = openWriter(settings, COLLECTION_UPKEEP, takeTurn);
	const told: Announcement[] = [];
	collection.news.listen((announcement) => announcement && told.push(announcement));
	try {
		const value = await inWindow(window, () => change(collection));
		return { kind: 'done', value, told };
	} catch (error) {
		const unwritten = whyUnwritten(error);
		if (!unwritten) throw error;
		return { kind: 'unwritten', why: unwritten };
	} finally {
		await collection.close();
	}
}
