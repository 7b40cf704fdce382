import { convertMinor, type ExchangeRate } from '../../money/exchange-rates.ts';
import type { HolderTier } from '../holders/choose-holder.ts';
import { SETS, USES_WITHOUT_CARDS, type BoxUse } from '../kinds/box-use.ts';
import { holderKindOf, isInRigid, type HolderKind, type HolderSort } from '../kinds/holder-kind.ts';
import { classChooser, type ClassRule, type ClassTest, type KeptCard } from './storage-class.ts';

/** By which rules copies are kept: storage classes in their order, then value tiers, then sets. */
export interface KeepingRules {
	readonly classes: readonly ClassRule[];
	readonly tiers: readonly HolderTier[];
	/** What the tiers are stated in (ISO 4217). */
	readonly currency: string;
	readonly rates?: readonly ExchangeRate[];
	/** Kinds of holders besides the usual ones. */
	readonly holders?: readonly HolderKind[];
}

/** What of a copy decides in which box it is kept. */
export interface KeptCopy {
	readonly card: KeptCard;
	/** Key of what it is in; null: nothing. */
	readonly holder: string | null;
}

/** Where a copy is kept, and why. */
export interface KeptUse {
	/** What the box is for. */
	readonly use: BoxUse;
	readonly why: string;
}

/** Answers to where copies are kept, by rules that were looked up once. */
export interface Keeping {
	readonly rules: KeepingRules;
	readonly useOf: (copy: KeptCopy) => KeptUse;
	/** Whether such cards share boxes year by year, whatever a set of them would fill. */
	readonly isKeptApart: (use: BoxUse) => boolean;
	/** Key of the box kind that copies of a use share. */
	readonly sharedKind: (use: BoxUse) => string;
	/** Whether a card that stands in a box of one use has to leave it, being in another holder, or worth another one, now. */
	readonly mustLeave: (use: BoxUse, boxUse: BoxUse) => boolean;
	/** What a box may be for, in the order of the rules. */
	readonly uses: readonly BoxUse[];
}

/** The attribute of a copy that keeps it in the personal collection. */
export const PERSONAL = 'personal';

/**
 * ● Kept apart from the sets, before anybody says otherwise: graded cards, the personal collection, what is to
 * sell. Common practice, no source.
 */
export const USUAL_CLASSES: readonly ClassRule[] = [
	{ name: 'graded', where: { isGraded: true } },
	{ name: 'personal', where: { attributes: [PERSONAL] } },
	{ name: 'to sell', where: { statuses: ['to sell'] } }
];

/** Of a storage class, what lies in rigid holders: it goes into no row of bare cards. */
export const inHolders = (name: string) => `${name}${IN_HOLDERS}`;
const IN_HOLDERS = ', in holders';

/**
 * Looks rules up once, to keep many copies by them. The first storage class that holds decides; what is in
 * rigid holders has boxes of its own there. Where none does: of a card in a rigid holder the tier that asks
 * for such a one, of another the tier of its value where that asks for a rigid one (each tier has its own
 * box); all else stays with its set.
 *
 * @throws RangeError where a copy is in a holder that nobody knows
 */
export function keepingOf(rules: KeepingRules): Keeping {
	const { classes, tiers, currency, rates = [], holders = [] } = rules;
	const choose = classChooser(classes, rates);
	const rising = [...tiers].sort((a, b) => a.fromMinor - b.fromMinor);
	const rigid = rising.filter(({ holder }) => isRigidSort(holder));
	const tierNames = new Set([...rigid.map(({ name }) => name), VALUABLES]);
	const rulesOf = (use: BoxUse) => classes.filter(({ name }) => name === use);

	const tierOf = ({ card, holder }: KeptCopy): KeptUse | null => {
		const byValue = rising.findLast(({ fromMinor }) => worth(card, currency, rates) >= fromMinor);
		if (isInRigid(holder, holders)) {
			const { sort, name } = holderKindOf(holder ?? '', holders);
			const why = `it is in a holder: ${name}`;
			if (byValue?.holder === sort) return { use: byValue.name, why };
			return {
				use: (rigid.find((tier) => tier.holder === sort) ?? rigid[0])?.name ?? VALUABLES,
				why
			};
		}
		if (!byValue || !isRigidSort(byValue.holder)) return null;
		return { use: byValue.name, why: `its value puts it into the tier "${byValue.name}"` };
	};

	const isKeptApart = (use: BoxUse): boolean => {
		if (use === SETS) return false;
		const named = rulesOf(use);
		return named.length === 0 ? use !== PERSONAL : named.some(({ where }) => picksCards(where));
	};

	return {
		rules,
		useOf(copy) {
			const kept = choose(copy.card);
			if (kept.name === null || kept.rule === null) {
				return tierOf(copy) ?? { use: SETS, why: 'no rule holds: it stays with its set' };
			}
			const isSplit = isInRigid(copy.holder, holders) && !isOfGraded(classes[kept.rule]);
			return { use: isSplit ? inHolders(kept.name) : kept.name, why: kept.why };
		},
		isKeptApart,
		sharedKind(use) {
			if (!isKeptApart(use)) return LONG_BOX;
			const tier = rigid.find(({ name }) => name === use);
			if (tier) return tier.holder === 'magnetic' ? HOLDER_CASE : LOADER_BOX;
			if (use === VALUABLES) return LOADER_BOX;
			const isRigid = use.endsWith(IN_HOLDERS) || rulesOf(use).some(isOfGraded);
			return isRigid ? HOLDER_CASE : SINGLES_BOX;
		},
		mustLeave: (use, boxUse) =>
			use !== boxUse && [use, boxUse].every((each) => each === SETS || tierNames.has(each)),
		uses: [
			...new Set([
				SETS,
				...classes.flatMap((rule) =>
					isOfGraded(rule) ? [rule.name] : [rule.name, inHolders(rule.name)]
				),
				...rigid.map(({ name }) => name),
				...USES_WITHOUT_CARDS
			])
		]
	};
}

/** Boxes in which valuables of any tier stood before each tier had its own. */
const VALUABLES = 'valuables';

/** Kinds of boxes that are shared: for sets, for loose single cards, for top loaders, for thicker holders. */
const LONG_BOX = '5000';
const SINGLES_BOX = '800';
const LOADER_BOX = 'loaders-150';
const HOLDER_CASE = 'case-30';

const isRigidSort = (sort: HolderSort) => sort === 'top-loader' || sort === 'magnetic';
const isOfGraded = (rule: ClassRule | undefined) => rule?.where.isGraded === true;

/** Whether a rule picks single cards out of their sets, and not whole ones: those of a maker, an era, a mark of its owner. */
function picksCards(where: ClassTest): boolean {
	return Object.keys(where).some((field) => !OF_WHOLE_SETS.includes(field));
}

const OF_WHOLE_SETS: readonly string[] = [
	'releases',
	'makers',
	'fromYear',
	'toYear',
	'sectionKinds',
	'attributes'
] satisfies readonly (keyof ClassTest)[];

/** In minor units of the currency; below every tier where nothing is known in money that leads there. */
function worth(
	{ valueMinor = 0, currency: money }: KeptCard,
	currency: string,
	rates: readonly ExchangeRate[]
): number {
	if (money === undefined || money === currency) return valueMinor;
	return convertMinor(valueMinor, money, currency, rates) ?? 0;
}
