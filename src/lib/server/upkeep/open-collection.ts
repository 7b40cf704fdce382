import { openDatabase, type Collection } from '../database/open.ts';
import type { Settings } from '../database/settings.ts';
import { COLLECTION_UPKEEP } from './collection-upkeep.ts';

/** Opens the collection that the settings name; makes it when there is none. */
export function openCollection(settings: Settings): Promise<Collection> {
	return openDatabase(settings, COLLECTION_UPKEEP);
}
