import { pickDetails } from '../card-details.ts';
import type { Evidence } from '../confidence.ts';

/** What is known of how sure a thing is, without the rest of it. */
export const evidenceOf = (thing: Evidence): Evidence =>
	pickDetails(thing, ['confidence', 'source', 'lookedAt', 'found']);
