import { group } from 'd3-array';
import { costToFinish } from '../../core/buying/finish/cost-to-finish.ts';
import { priceSheet } from '../../core/buying/prices/price-sheet.ts';
import type { Lump, PricedWant } from '../../core/buying/prices/priced-want.ts';
import { readPriceLine } from '../../core/buying/prices/read-price-line.ts';
import type { SheetWant } from '../../core/buying/prices/sheet-want.ts';
import { middleOf } from '../../core/worth/prices/price.ts';
import { typicalPrice } from '../../core/buying/prices/typical-price.ts';
import type { PricePoint } from '../../core/worth/prices/price-point.ts';
import { numberingsOf } from '../../core/checklist/numbering.ts';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import { bad, good, type Problem } from '../../core/problem.ts';
import { indexCards } from '../../core/shorthand/card-index.ts';
import { vocabularyOf } from '../../core/shorthand/vocabulary.ts';
import {
	CostToFinishInput,
	CostToFinishOutput,
	PriceSheetInput,
	PriceSheetOutput,
	type CostToFinishRequest,
	type PriceSheetRequest
} from '../../schemas/compute-prices.ts';
import { convertPoints } from './convert-points.ts';
import { defineComputation } from './define-computation.ts';
import { resolveChecklist } from './resolve-checklist.ts';

const USUAL_POSTAGE = 500;

export const priceSheetComputation = defineComputation({
	name: 'price-sheet',
	summary:
		'Missing cards from cheap to dear, by prices typed as heard and by the price book, with what looks wrong.',
	input: PriceSheetInput,
	output: PriceSheetOutput,
	run(request: PriceSheetRequest) {
		const resolved = resolveChecklist(request.checklist);
		if (!resolved.ok) return resolved;
		const release = resolved.value;
		const { currency, rates = [], lines = [], postageMinor = USUAL_POSTAGE } = request;
		const problems: Problem[] = [];
		const find = cardFinder(release);
		const wants = request.wants.flatMap((want, i): readonly (SheetWant & typeof want)[] => {
			const found = find(want.versions[0] ?? '');
			const unknown = want.versions.findIndex((version) => !find(version));
			if (!found || unknown >= 0) {
				const at = Math.max(0, unknown);
				problems.push({
					pointer: `/wants/${i}/versions/${at}`,
					message: `there is no version "${want.versions[at] ?? ''}"`,
					remedy: 'Name it as expand-checklist does.'
				});
				return [];
			}
			const { version, section, card } = found;
			return [
				{
					...want,
					...{ key: `${i}`, quantity: want.quantity ?? 1, release: release.key },
					...{ section: section.key, kind: section.kind, parallel: version.parallelKey },
					...{ isVariant: version.variantKey !== null, marks: card.marks },
					...(card.rarity === undefined ? {} : { rarity: card.rarity })
				}
			];
		});
		const converted = convertPoints(request.points ?? [], currency, rates);
		problems.push(...converted.problems);
		const points: PricePoint[] = [...converted.points];
		const ground = {
			release,
			index: indexCards(release),
			vocabulary: vocabularyOf(release),
			numberingKey: numberingsOf(release)[0]?.key ?? null,
			parallelKey: null,
			owned: new Map<string, number>(),
			wants,
			currency
		};
		const lumps: Lump[] = [];
		for (const [i, { line, on = '1970-01-01' }] of lines.entries()) {
			const priced = new Set(points.map(({ version }) => version));
			const reading = readPriceLine(line, { ...ground, priced });
			problems.push(
				...reading.problems.map((problem) => ({ ...problem, pointer: `/lines/${i}/line` }))
			);
			for (const { version, price, quantity: _, ...said } of reading.prices) {
				points.push({ version, ...price, ...said, kind: 'asking', on });
			}
			for (const { words, price, quantities: _, ...lump } of reading.lumps) {
				const same = lumps.findIndex((other) => other.words.toLowerCase() === words.toLowerCase());
				if (same >= 0) lumps.splice(same, 1);
				lumps.push({ key: words, words, ...lump, ...price });
			}
		}
		if (problems.length > 0) return bad(problems);
		const byVersion = group(points, ({ version }) => version);
		const priced = wants.map((want): PricedWant => {
			const known = want.versions.flatMap((version) => byVersion.get(version) ?? []);
			const price = typicalPrice(known, want);
			const before =
				price &&
				typicalPrice(
					known.filter(({ on }) => on < price.on),
					want
				);
			return { ...want, price, ...(before ? { beforeMinor: middleOf(before) } : {}) };
		});
		const nameOf = new Map(wants.map(({ key, versions }) => [key, versions[0] ?? '']));
		const { lines: made, ...sheet } = priceSheet(priced, lumps, postageMinor);
		return good({
			...sheet,
			lines: made.map((line) => ({
				...line,
				key: nameOf.get(line.key) ?? line.key,
				wants: line.wants.map((key) => nameOf.get(key) ?? key)
			}))
		});
	}
});

export const costToFinishComputation = defineComputation({
	name: 'cost-to-finish',
	summary:
		'All goals beside each other: what finishing each takes, how sure that is, and whether it pays.',
	input: CostToFinishInput,
	output: CostToFinishOutput,
	run({
		goals,
		rule = 'least to pay',
		mostShare = 0.5,
		postageMinor = USUAL_POSTAGE
	}: CostToFinishRequest) {
		const problems = goals.flatMap(({ slots, sums = [] }, g): readonly Problem[] => [
			...slots.flatMap(({ missing, need = 1, price }, i): readonly Problem[] => {
				const at = `/goals/${g}/slots/${i}`;
				return [
					...(missing > need
						? [
								{
									pointer: `${at}/missing`,
									message: `it lacks ${missing} of ${need}`,
									remedy: 'Lower it.'
								}
							]
						: []),
					...upsideDown(price ?? undefined, `${at}/price/highMinor`)
				];
			}),
			...sums.flatMap((sum, i) => upsideDown(sum, `/goals/${g}/sums/${i}/highMinor`))
		]);
		if (problems.length > 0) return bad(problems);
		const costs = costToFinish(
			goals.map(({ key, name = key, slots, sums = [] }) => ({
				...{ key, name },
				lumps: sums.map(({ slots: versions, ...sum }, i) => ({
					...sum,
					key: `sum ${i}`,
					versions
				})),
				slots: slots.map(
					({ key: slot, missing, need = 1, group: alike = '', isKey, price, heldMinor }) => ({
						...{
							key: slot,
							versions: [slot],
							quantity: missing,
							need,
							release: '',
							section: alike
						},
						...{ kind: 'base' as const, parallel: null, isVariant: false },
						marks: isKey ? (['key'] as const) : [],
						price: price
							? { version: slot, ...price, kind: 'asking' as const, points: 1, on: '' }
							: null,
						...(heldMinor === undefined ? {} : { heldMinor })
					})
				)
			})),
			{ rule, mostShare, postageMinor }
		);
		return good({ goals: costs });
	}
});

function upsideDown(
	price: { readonly lowMinor: number; readonly highMinor: number } | undefined,
	pointer: string
): readonly Problem[] {
	if (!price || price.highMinor >= price.lowMinor) return [];
	return [{ pointer, message: 'the upper price is below the lower', remedy: 'Exchange them.' }];
}
