<script lang="ts">
	import type { Quality } from '$lib/core/copies/condition';
	import { parseQuality } from '$lib/core/copies/quality-label';
	import { parseAmount } from '$lib/core/money/amount';
	import { formatMinor } from '$lib/core/money/minor-units';
	import { chancesByCounts, chancesByEye } from '$lib/core/worth/grading/grade-chances';
	import { gradeOrNot } from '$lib/core/worth/grading/grade-or-not';
	import type { LadderView } from '$lib/server/worth/ladder-view';
	import Field from '$lib/ui/Field.svelte';
	import { formatMoney } from '$lib/ui/numerals';

	interface Props {
		close: NonNullable<LadderView['close']>;
		row: LadderView['rows'][number];
		currency: string;
	}
	/** Whether sending a raw copy for grading pays: worked out as it is typed. */
	let { close, row, currency }: Props = $props();
	const priced = $derived(
		row.cells.flatMap(({ label, priceMinor, lowMinor, highMinor }) => {
			const quality = parseQuality(label);
			if (!quality.ok || priceMinor === null) return [];
			const [low, high] = [lowMinor ?? priceMinor, highMinor ?? priceMinor];
			return [{ ...quality.value, middleMinor: priceMinor, lowMinor: low, highMinor: high }];
		})
	);
	const isGraded = ({ grade, isAuthentic }: Quality) => grade !== undefined || isAuthentic === true;
	const dearestRaw = $derived(
		Math.max(0, ...priced.flatMap((price) => (isGraded(price) ? [] : [price.middleMinor])))
	);
	let rawText = $state<string | null>(null);
	let feeText = $state('20');
	let postText = $state('8');
	let by = $state<'population' | 'eye'>('population');
	let eye = $state(8);
	const rawShown = $derived(rawText ?? formatMinor(dearestRaw, currency));
	const read = (text: string) => parseAmount(text, currency);
	const prices = $derived(priced.filter(isGraded));
	const counts = $derived(
		(close.population?.levels ?? []).flatMap(({ grade, isAuthentic, qualifier, count }) =>
			grade === undefined && !isAuthentic
				? []
				: [
						{
							...(grade === undefined ? { isAuthentic: true } : { grade }),
							...(qualifier === undefined ? {} : { qualifier }),
							count
						}
					]
		)
	);
	const usesEye = $derived(by === 'eye' || counts.length === 0);
	const answer = $derived.by(() => {
		const [rawMinor, feeMinor, postageMinor] = [read(rawShown), read(feeText), read(postText)];
		if (!rawMinor.ok || !feeMinor.ok || !postageMinor.ok || prices.length === 0) return null;
		return gradeOrNot({
			...{
				rawMinor: rawMinor.value.minor,
				feeMinor: feeMinor.value.minor,
				postageMinor: postageMinor.value.minor
			},
			...{
				sellingShare: 0,
				prices,
				chances: usesEye ? chancesByEye(eye, close.eye) : chancesByCounts(counts)
			}
		});
	});
	const money = (minor: number) => formatMoney(minor, currency);
	const percent = (share: number) => `${Math.round(100 * share)} %`;
</script>

<h3 class="mt-3 font-serif text-lg">Grade it or not</h3>
<div class="flex flex-wrap items-end gap-3">
	<Field label="It sells raw for"
		><input
			class="input w-28 input-sm"
			inputmode="decimal"
			value={rawShown}
			oninput={({ currentTarget }) => (rawText = currentTarget.value)}
		/></Field
	>
	<Field label="Fee of the house"
		><input class="input w-24 input-sm" inputmode="decimal" bind:value={feeText} /></Field
	>
	<Field label="Postage both ways"
		><input class="input w-24 input-sm" inputmode="decimal" bind:value={postText} /></Field
	>
	<Field label="Chances by">
		<select class="select w-48 select-sm" bind:value={by}>
			<option value="population" disabled={counts.length === 0}>the population</option>
			<option value="eye">my own eye</option>
		</select>
	</Field>
	{#if usesEye}
		<Field label="I think it is"
			><input
				class="input w-20 input-sm"
				type="number"
				min="1"
				max="10"
				step="0.5"
				bind:value={eye}
			/></Field
		>
	{/if}
</div>
{#if answer}
	<p class="mt-2" aria-live="polite">
		<strong>{answer.verdict === 'grade' ? 'Grade it' : 'Leave it raw'}</strong>: on average it
		{answer.gainMinor >= 0 ? 'wins' : 'loses'}
		<span class="estimate">{money(Math.abs(answer.gainMinor))}</span>; money is lost in
		{percent(answer.lossChance)} of cases.
		{#if answer.hopedGrade !== null}
			{#if answer.breakEvenChance === null}No chance of {answer.hopedGrade} makes it pay.{:else if answer.breakEvenChance > 0}It
				pays from a chance of {percent(answer.breakEvenChance)} of {answer.hopedGrade} or better on.{/if}
		{/if}
	</p>
	<p class="text-sm quiet">
		{#if usesEye}{close.eye.length > 0
				? `Chances as ${close.eye.length === 1 ? 'the card' : `the ${close.eye.length} cards`} that you estimated before came back.`
				: 'As if your estimate were right: none of your cards has come back yet.'}{/if}
		What a house will say, nobody knows: those sent in before were the better ones.
	</p>
{:else if prices.length === 0}
	<p class="mt-2 quiet">No grade of it was sold of late: nothing can be weighed.</p>
{:else}
	<p class="mt-2 text-error">Write sums of money: 20 or 7.50.</p>
{/if}
