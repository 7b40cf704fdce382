<script lang="ts">
	import type { PageKind } from '$lib/core/binder/page-kind';
	import type { BinderPlan } from '$lib/core/binder/plan-binder';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import { countOf, formatSize } from '$lib/ui/numerals';

	interface Props {
		plan: BinderPlan;
		faces: readonly PocketFace[];
		kinds: readonly PageKind[];
	}
	let { plan, faces, kinds }: Props = $props();

	const bySlot = $derived(new Map(faces.map((face) => [face.slot, face])));
	const nameOfKind = (key: string) => kinds.find((kind) => kind.key === key)?.name ?? key;
	/** Odd cards by what is wrong and where they go. */
	const odd = $derived.by(() => {
		const groups = new Map<string, { why: string; kind: string | null; names: string[] }>();
		for (const { slot, kind, why } of plan.odd) {
			const key = `${why} ${kind}`;
			const group = groups.get(key) ?? { why, kind, names: [] };
			const face = bySlot.get(slot);
			group.names.push(face ? (face.number ?? face.title) : slot);
			groups.set(key, group);
		}
		return [...groups.values()];
	});
	const WHY: Readonly<Record<string, string>> = {
		'too large': 'too large for these pockets',
		'too thick': 'too thick for these pockets',
		loose: 'so small that they slide about'
	};
</script>

{#if odd.length + plan.tooLarge.length + plan.broken.length > 0 || plan.volumes.length > 1 || plan.volumes.some(({ isOverfull }) => isOverfull)}
	<ul class="mt-4 max-w-3xl space-y-1 border-l-3 border-accent pl-4" aria-label="About this plan">
		{#each plan.volumes.length > 1 ? plan.volumes : plan.volumes.filter(({ isOverfull }) => isOverfull) as { volume, leaves, thicknessMm, isOverfull } (volume)}
			<li>
				{plan.volumes.length > 1 ? `Volume ${volume}` : 'The binder'}: {countOf(
					leaves,
					'leaf',
					'leaves'
				)}, {formatSize(thicknessMm)} thick when full{isOverfull
					? ', more than it closes over: take a deeper binder'
					: ''}
			</li>
		{/each}
		{#each plan.broken as name (name)}
			<li>{name} lies in more than one volume: it is larger than one.</li>
		{/each}
		{#each odd as { why, kind, names } (`${why} ${kind}`)}
			<li>
				{countOf(names.length, 'card')}
				{WHY[why]}: {names.slice(0, 12).join(', ')}{names.length > 12 ? ' …' : '.'}
				{#if kind === null}No page takes {names.length === 1 ? 'it' : 'them'}: add a kind of your
					own.
				{:else if why === 'loose' && plan.pages.every((page) => page.kind === kind)}Add a page kind
					with smaller pockets to keep them still.
				{:else}They lie on {nameOfKind(kind)} pages.{/if}
			</li>
		{/each}
		{#each plan.tooLarge as name (name)}
			<li>The picture of {name} is larger than two facing pages: its cards lie in order.</li>
		{/each}
	</ul>
{/if}
