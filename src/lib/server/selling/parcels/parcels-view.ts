import { group, sum } from 'd3-array';
import type { Problem } from '../../../core/problem.ts';
import {
	cheapestParcels,
	MOST_SELECTIONS,
	selectionsOf,
	type ParcelBox
} from '../../../core/selling/parcels/cheapest-parcels.ts';
import { drawingOrder, packingSteps } from '../../../core/selling/parcels/packing-steps.ts';
import { cardG } from '../../../core/storage/room/box-weight.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import type { Reader } from '../../database/open.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { PARCEL_KINDS } from './parcel-kinds.ts';

/** Boxes that are sent: so many of a kind, each with so many cards, to somebody. */
export interface SentBoxes {
	readonly kind: string;
	readonly quantity: number;
	/** null: as many as the maker says. */
	readonly cards: number | null;
	readonly buyer: string;
	readonly staysUpright: boolean;
}

/** More are sent in several turns. */
const MOST_BOXES = 60;

/** The cheapest parcels for boxes, to each buyer by themselves, and how each is packed. */
export async function parcelsView(db: Reader, sent: readonly SentBoxes[]) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const parcels = await readPreference(db, PARCEL_KINDS);
	const boxKinds = (await readBoxKinds(db)).filter(({ isSmall }) => !isSmall);
	const problems: Problem[] = [];
	const boxes = sent.flatMap((each, i): readonly (ParcelBox & { readonly buyer: string })[] => {
		const kind = boxKinds.find(({ key }) => key === each.kind);
		if (!kind) {
			problems.push({ message: `there is no box "${each.kind}"`, remedy: 'Choose one.' });
			return [];
		}
		const grams = Math.round(kind.tareG + (each.cards ?? kind.nominalCount) * cardG({}));
		return [
			{
				...{ key: `${i}`, grams, quantity: each.quantity, buyer: each.buyer },
				turning: each.staysUpright ? 'upright' : 'any',
				lengthMm: Math.ceil(kind.lengthMm),
				widthMm: Math.ceil(kind.widthMm),
				heightMm: Math.ceil(kind.heightMm)
			}
		];
	});
	const nameOf = (key: string) =>
		boxKinds.find((kind) => kind.key === sent[Number(key)]?.kind)?.name ?? key;
	if (parcels.length === 0) {
		problems.push({ message: 'no kind of parcel is kept', remedy: 'Write one below.' });
	}
	const byBuyer = [...group(boxes, ({ buyer }) => buyer)];
	const tooMany = byBuyer.filter(
		([, some]) =>
			selectionsOf(some) > MOST_SELECTIONS || sum(some, (box) => box.quantity) > MOST_BOXES
	);
	for (const [buyer] of tooMany) {
		const who = buyer === '' ? 'These are' : `For ${buyer} there are`;
		problems.push({
			message: `${who} too many different boxes to try all ways to part them`,
			remedy: 'Send up to ten different ones at a time.'
		});
	}
	const plans =
		problems.length > 0
			? []
			: byBuyer.map(([buyer, some]) => ({ buyer, some, ...cheapestParcels(some, parcels) }));
	return {
		...{ currency, parcels, problems },
		boxKinds: boxKinds.map(({ key, name, nominalCount }) => ({ key, name, nominalCount })),
		totalMinor: sum(plans, (plan) => plan.totalMinor),
		isProven: plans.every((plan) => plan.isProven),
		plans: plans.map(({ buyer, some, ...plan }) => ({
			...{ buyer, totalMinor: plan.totalMinor, isProven: plan.isProven },
			left: plan.left.map(({ box, quantity }) => ({ name: nameOf(box), quantity })),
			parcels: plan.parcels.map(({ parcel, placements, grams, priceMinor }) => {
				const size = parcels.find(({ key }) => key === parcel);
				const floor = { lengthMm: size?.lengthMm ?? 0, widthMm: size?.widthMm ?? 0 };
				const steps = packingSteps(
					placements,
					(key) => some.find((box) => box.key === key),
					floor
				).map((step) => ({ ...step, name: nameOf(step.key) }));
				return {
					...{ parcel, grams, priceMinor, steps },
					...floor,
					heightMm: size?.heightMm ?? 0,
					drawn: drawingOrder(steps).map(({ step }) => step)
				};
			})
		}))
	};
}
export type ParcelsView = Awaited<ReturnType<typeof parcelsView>>;
