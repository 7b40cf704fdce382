import { rollup } from 'd3-array';
import { countVersionsAtMost } from '../../core/checklist/versions/count-versions.ts';
import { fillGoals } from '../../core/goal/fill-goals.ts';
import { checkGoal } from '../../core/goal/check-goal.ts';
import { resolveRules } from '../../core/goal/goal-rules.ts';
import { scopeGoals } from '../../core/goal/scope-goal.ts';
import { stackSlotsOf } from '../../core/goal/stack-slots.ts';
import { packFinder, packFinishes } from '../../core/packs/finishes/pack-finishes.ts';
import { dearest, type KnownWorth } from '../../core/pile/next-pile.ts';
import { indexPile } from '../../core/pile/pile-index.ts';
import { judgePileCard, slotsByVersion, type PileChoice } from '../../core/pile/judge-pile-card.ts';
import { USUAL_TIERS, type HolderTier } from '../../core/storage/holders/choose-holder.ts';
import { keepingOf } from '../../core/storage/classes/keeping.ts';
import { classChooser } from '../../core/storage/classes/storage-class.ts';
import { bad, good } from '../../core/problem.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import {
	PackFinishesInput,
	PackFinishesOutput,
	StorageClassInput,
	StorageClassOutput,
	type PackFinishesRequest,
	type StorageClassRequest
} from '../../schemas/compute-pile.ts';
import {
	JudgePileInput,
	JudgePileOutput,
	type JudgePileRequest
} from '../../schemas/compute-judge-pile.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';
import { resolveChecklist, resolveChecklists } from './resolve-checklist.ts';

/** The most slots that goals may have together. */
const MOST_SLOTS = 1_000_000;

export const storageClassComputation = defineComputation({
	name: 'storage-class',
	summary: 'Where copies are kept: the first storage class whose rule holds, and why.',
	input: StorageClassInput,
	output: StorageClassOutput,
	run({ cards, rules, rates = [], currency = 'EUR', ...input }: StorageClassRequest) {
		const tiers: readonly HolderTier[] = input.tiers ?? USUAL_TIERS;
		const problems = [...repeated('cards', 'key', cards), ...repeated('tiers', 'name', tiers)];
		if (problems.length > 0) return bad(problems);
		const choose = classChooser(rules, rates);
		const keeping = keepingOf({ classes: rules, tiers, currency, rates });
		return good({
			cards: cards.map(({ key, holder = null, ...card }) => ({
				key,
				...choose(card),
				use: keeping.useOf({ card, holder }).use
			}))
		});
	}
});

export const packFinishesComputation = defineComputation({
	name: 'pack-finishes',
	summary: 'Which finishes each kind of pack may hold, and which packs may hold what one lacks.',
	input: PackFinishesInput,
	output: PackFinishesOutput,
	run({ checklist, lacking = [] }: PackFinishesRequest) {
		const release = resolveChecklist(checklist);
		if (!release.ok) return release;
		const find = packFinder(release.value);
		return good({
			finishes: packFinishes(release.value),
			lacking: lacking.map((version) => {
				const name = parseVersionKey(version);
				const isHere = name?.release === release.value.key;
				return {
					version,
					packs: isHere ? find(name.card, name.parallel) : []
				};
			})
		});
	}
});

export const judgePileCardComputation = defineComputation({
	name: 'judge-pile-card',
	summary:
		'Which card of several releases a line means, what it is to the goals, what to watch for, and its next pile.',
	input: JudgePileInput,
	output: JudgePileOutput,
	run({
		checklists,
		line,
		goals = [],
		copies = [],
		classes = [],
		tiers,
		currency = 'EUR',
		rates = [],
		friends = [],
		synonyms = {},
		...state
	}: JudgePileRequest) {
		const releases = resolveChecklists(checklists);
		if (!releases.ok) return releases;
		const problems = goals.flatMap(({ goal }, i) =>
			checkGoal(releases.value, goal).map((problem) => ({
				...problem,
				pointer: `/goals/${i}/goal${problem.pointer ?? ''}`
			}))
		);
		if (problems.length > 0) return bad(problems);
		const versions = releases.value.reduce((sum, each) => sum + countVersionsAtMost(each), 0);
		const sets = goals.reduce((sum, { goal }) => sum + (goal.sets ?? 1), 0);
		if (versions * sets > MOST_SLOTS) {
			return bad([
				{
					pointer: '/goals',
					message: `${sets} sets of up to ${versions} versions are more than ${MOST_SLOTS} slots`,
					remedy: 'Give fewer goals, sets or checklists at a time.'
				}
			]);
		}
		const keyed = copies.map((copy, i) => ({
			...copy,
			key: String(i),
			quantity: copy.quantity ?? 1
		}));
		const scoped = goals.map(({ name, goal }, i) => ({
			name,
			key: String(i),
			keepsOwn: resolveRules(goal).keepsOwn,
			slots: scopeGoals(releases.value, goal).slots,
			held: new Map<string, string>()
		}));
		const filled = fillGoals(scoped, keyed);
		const owned = new Map<string, number>();
		for (const { version, quantity } of keyed) {
			owned.set(version, (owned.get(version) ?? 0) + quantity);
		}
		const { choices, fitting } = judgePileCard(indexPile(releases.value), line, {
			...state,
			synonyms: new Map(Object.entries(synonyms)),
			owned,
			keeping: keepingOf({ classes, rates, currency, tiers: tiers ?? [] }),
			worth: worthOf(copies),
			wantedBy: rollup(
				friends.flatMap(({ name, wants }) => wants.map((version) => ({ name, version }))),
				(same) => same.map(({ name }) => name),
				({ version }) => version
			),
			slots: slotsByVersion(
				scoped.flatMap(({ name, key, slots }) => {
					const filling = filled.get(key);
					return filling ? stackSlotsOf(name, slots, keyed, filling) : [];
				})
			)
		});
		return good({ choices: choices.map((choice) => told(choice, owned)), fitting });
	}
});

/** The dearest value of a copy of each version. */
function worthOf(copies: NonNullable<JudgePileRequest['copies']>): ReadonlyMap<string, KnownWorth> {
	return dearest(
		copies.flatMap(({ version, valueMinor, currency = 'EUR' }) =>
			valueMinor === undefined ? [] : [{ version, valueMinor, currency }]
		)
	);
}

/** A choice as the API gives it: keys instead of what they name. */
function told(
	{ match, verdict, reasons, watch, pile, asks, wantedBy = [] }: PileChoice,
	owned: ReadonlyMap<string, number>
) {
	const { entry, version, condition, serial } = match;
	const takes = verdict.kind === 'needed' || verdict.kind === 'upgrade' ? verdict : null;
	return {
		version: version.key,
		release: entry.of.release.key,
		section: entry.found.section.key,
		number: entry.found.card.number,
		title: entry.found.card.title,
		...(condition === undefined ? {} : { condition }),
		...(serial === undefined ? {} : { serial }),
		verdict: verdict.kind,
		goal: takes?.goal ?? null,
		set: verdict.kind === 'needed' ? (verdict.set ?? 1) : null,
		copies: owned.get(version.key) ?? 0,
		reasons,
		wantedBy,
		watch,
		pile,
		asks
	};
}
