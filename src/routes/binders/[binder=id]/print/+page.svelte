<script lang="ts">
	import { resolve } from '$app/paths';
	import { PAPERS } from '$lib/core/print/paper';
	import Field from '$lib/ui/Field.svelte';

	let { data } = $props();
	let paper = $state('a4');
	const depth = $derived(
		data.binderKinds.find(({ key }) => key === data.layout.binderKind)?.spineDepthMm ?? 45
	);
	/** As wide as the binder is deep, until something else is typed. */
	let typed = $state<number | null>(null);
	const spineMm = $derived(typed ?? depth);
	const sheets = [
		{ key: 'index', name: 'Page index', does: 'What lies on each page, section by section.' },
		{
			key: 'inserts',
			name: 'Insert sheets',
			does: 'A sheet a page: its pockets in the size of their cards, with number and title. Cut out, they are placeholders.'
		},
		{
			key: 'spine',
			name: 'Spine label',
			does: 'A strip a volume, 260 mm long and as wide as you say; longer titles shrink to fit.'
		},
		{
			key: 'front',
			name: 'Front label',
			does: 'A title for the front of each volume, 150 × 80 mm, with what is in it.'
		},
		{
			key: 'supplies',
			name: 'Shopping list',
			does: 'Sleeves, leaves, binders and dividers, with their cost.'
		},
		{ key: 'moves', name: 'Move slip', does: 'The moves to make, with boxes to tick.' }
	] as const;
	const addressOf = (key: string) =>
		`${resolve('/')}api/binders/${data.binder.id}/sheets/${key}.pdf?paper=${paper}${key === 'spine' ? `&width=${spineMm}` : ''}`;
</script>

<div class="mb-6 flex flex-wrap items-end gap-4">
	<Field label="Paper">
		<select class="select w-64 select-sm" bind:value={paper}>
			{#each PAPERS as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label="Width of the spine, mm">
		<input
			class="input w-32 input-sm"
			type="number"
			min="10"
			max="150"
			step="1"
			value={spineMm}
			onchange={(event) => (typed = event.currentTarget.valueAsNumber || null)}
		/>
	</Field>
</div>
<ul class="max-w-2xl">
	{#each sheets as { key, name, does } (key)}
		<li class="flex items-center gap-4 border-t border-base-300 py-3">
			<p class="min-w-0 flex-1">
				<span class="font-semibold">{name}</span><span class="block text-sm quiet">{does}</span>
			</p>
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- a file of the API -->
			<a class="btn btn-sm" href={addressOf(key)} download aria-label="{name} as PDF">PDF</a>
		</li>
	{/each}
</ul>
<p class="mt-4 max-w-2xl text-sm quiet">
	Print at 100 %, without fitting to the page, so that a label is as wide as it says. Cut with a
	guarded blade along a ruler, away from the hand.
</p>
