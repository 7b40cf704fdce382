import type { LabelledQuality } from '../../copies/quality-label.ts';
import type { Price } from './price.ts';

/** How a price came to be known. `sale`: paid. `asking`: what somebody wants for it. `estimate`: a guess. */
export const PRICE_KINDS = ['sale', 'asking', 'estimate'] as const;
export type PriceKind = (typeof PRICE_KINDS)[number];

/** What one card of a version was asked or sold for, in minor units of the currency that is reckoned in. */
export interface PricePoint extends Price, LabelledQuality {
	readonly version: string;
	/** The house that graded it. */
	readonly house?: string;
	readonly kind: PriceKind;
	/** ISO 8601 date */
	readonly on: string;
	readonly source?: string;
	/** Why it is out of line. */
	readonly reason?: string;
}
