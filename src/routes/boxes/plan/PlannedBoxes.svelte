<script lang="ts">
	import type { BoxKind } from '$lib/core/storage/kinds/box-kind';
	import type { RoomBox } from '$lib/core/storage/plan/plan-room';
	import type { PlanWeight } from '$lib/server/storage/plan/storage-view';
	import { countOf, formatWeight } from '$lib/ui/numerals';
	import BoxRow from '$lib/ui/shelf/BoxRow.svelte';

	interface Props {
		boxes: readonly RoomBox[];
		weights: readonly PlanWeight[];
		kinds: readonly BoxKind[];
	}
	let { boxes, weights, kinds }: Props = $props();
	let chosen = $state(1);
	const open = $derived(boxes.find(({ box }) => box === chosen) ?? boxes[0]);
	const kindOf = (key: string) => kinds.find((kind) => kind.key === key);
	const weight = $derived(weights.find(({ box }) => box === open?.box));
	const kind = $derived(kindOf(open?.kind ?? ''));
	const PX_A_MM = 0.45;
	const percent = (fill: number) => Math.round(100 * fill);
	const nameOf = ({ box, kind: key, use, fill }: RoomBox) =>
		`Box ${box}, ${kindOf(key)?.name ?? key}${use === 'sets' ? '' : `, ${use}`}, ${percent(fill)} % full`;
</script>

<h2 class="mb-2">{countOf(boxes.length, 'new box', 'new boxes')}</h2>
<!-- From the side, in scale; how far it is filled is seen as colour and read as a number. -->
<ul
	class="flex flex-wrap items-end gap-x-3 gap-y-4 border-b-4 border-base-300"
	aria-label="Planned boxes"
>
	{#each boxes as box (box.box)}
		{@const kind = kindOf(box.kind)}
		{#if kind}
			<li>
				<button
					class={[
						'relative block overflow-hidden border-2 border-b-0 bg-base-100 text-left',
						open?.box === box.box ? 'border-primary' : 'border-base-content/40'
					]}
					style:width="{kind.lengthMm * PX_A_MM}px"
					style:height="{kind.heightMm * PX_A_MM + 8}px"
					aria-label={nameOf(box)}
					aria-pressed={open?.box === box.box}
					title={nameOf(box)}
					onclick={() => (chosen = box.box)}
				>
					<span
						class="absolute inset-y-0 left-0 bg-primary/25"
						style:width="{percent(box.fill)}%"
						aria-hidden="true"
					></span>
					<span class="relative flex justify-between gap-1 px-1.5 pt-0.5">
						<span class="truncate"
							><span class="font-serif text-lg leading-none">{box.box}</span>
							<span class="text-xs">{box.use === 'sets' ? '' : box.use}</span></span
						><span class="shrink-0 text-sm">{percent(box.fill)} %</span>
					</span>
				</button>
			</li>
		{/if}
	{/each}
</ul>
{#if open && kind && weight}
	<section class="mt-4" aria-labelledby="open-box">
		<h3 id="open-box" class="font-serif text-lg">Box {open.box}: {kind.name}</h3>
		<p class="mb-2 quiet">{countOf(weight.cards, 'card')}, {formatWeight(weight.grams)}</p>
		{#if weight.caution}
			<p class="mb-3 max-w-2xl border-l-3 border-accent pl-4">
				{weight.caution} Local rules and the shelf maker's rating take precedence.
			</p>
		{/if}
		<ol class="max-w-4xl space-y-1.5">
			{#each open.rows as { entries, usedUm }, i (i)}
				<BoxRow
					row={i + 1}
					{usedUm}
					rowUm={kind.rowMm * 1000}
					dividers={entries.map(({ label, um, isContinued, smallBox }, at) => ({
						id: at,
						label: `${isContinued ? '… ' : ''}${label}${smallBox ? ` (${kindOf(smallBox)?.name ?? smallBox})` : ''}`,
						um,
						cards: null
					}))}
				/>
			{/each}
		</ol>
	</section>
{/if}
