<script lang="ts">
	import type { WallTile } from '$lib/core/goal/wall';

	interface Props {
		tile: WallTile;
		wide: boolean;
		chosen: boolean;
		pending: number | undefined;
		tabindex: 0 | -1;
		index: number;
	}
	let { tile, wide, chosen, pending, tabindex, index }: Props = $props();

	const FACE = {
		have: 'bg-primary text-primary-content border-primary',
		spare: 'bg-primary text-primary-content border-primary',
		missing: 'border-dashed border-base-content/45',
		incoming: 'border-primary',
		upgrade: 'bg-primary/25 border-primary',
		'not-needed': 'border-transparent quiet'
	} as const;
	const WORDS = {
		have: 'have',
		spare: 'have',
		missing: 'missing',
		incoming: 'incoming',
		upgrade: 'have, to upgrade',
		'not-needed': 'not needed'
	} as const;

	const isLong = $derived((tile.number?.length ?? 3) > 2);
	const name = $derived(
		[
			tile.number,
			tile.title,
			tile.subset,
			WORDS[tile.state],
			tile.owned > 1 ? `${tile.owned} copies` : ''
		]
			.filter(Boolean)
			.join(', ')
	);
</script>

<button
	type="button"
	class={[
		'relative flex touch-pan-y flex-col justify-between rounded-sm border px-1 pt-1 pb-0.5 select-none',
		wide ? 'h-11 w-44 items-start' : 'h-11 w-11 items-center',
		FACE[tile.state],
		chosen && 'outline-3 -outline-offset-1 outline-accent',
		pending !== undefined && 'ring-3 ring-accent'
	]}
	aria-label={name}
	aria-pressed={tile.owned > 0}
	title={name}
	{tabindex}
	data-index={index}
	data-state={tile.state}
>
	{#if tile.state === 'not-needed'}<span
			class="absolute inset-x-3 top-4 border-t border-current/60"
			aria-hidden="true"
		></span>{/if}
	<span
		class={[
			'max-w-full leading-5',
			wide && 'truncate text-sm',
			!wide && 'font-semibold',
			!wide &&
				((tile.state !== 'have' && tile.state !== 'missing' && isLong) ||
				(tile.number?.length ?? 0) > 3
					? 'text-[13px]'
					: 'text-[15px]'),
			// The count of spares stands to the right of the number.
			!wide && ['spare', 'incoming', 'upgrade'].includes(tile.state) && 'mr-auto'
		]}
	>
		{wide ? tile.title : (tile.number ?? tile.title.slice(0, 3))}
	</span>
	{#if tile.state === 'spare'}
		<span
			class="absolute top-0 right-0 rounded-bl-md bg-accent px-0.5 text-[10px] leading-3.5 font-semibold text-accent-content"
			aria-hidden="true">{tile.owned > 1 ? `+${tile.owned - 1}` : '+'}</span
		>
	{/if}
	{#if tile.state === 'incoming' || tile.state === 'upgrade'}
		<span class="absolute top-0 right-0.5 text-[11px] leading-3.5 font-semibold" aria-hidden="true"
			>{tile.state === 'incoming' ? '→' : '↑'}</span
		>
	{/if}
	{#if tile.subset}<span
			class="absolute top-0 left-0 size-0 border-t-8 border-r-8 border-t-current border-r-transparent"
			aria-hidden="true"
		></span>{/if}
	<span class="flex h-1.5 w-full gap-px" aria-hidden="true">
		{#if tile.ladder.length > 1}
			{#each tile.ladder as rung (rung.key)}
				<span
					class={[
						'h-full flex-1 border border-current/70',
						rung.isVariant && 'rounded-full',
						rung.owned ? 'bg-current' : 'opacity-60'
					]}
				></span>
			{/each}
		{/if}
	</span>
</button>
