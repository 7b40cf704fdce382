<script lang="ts">
	import { cardsIn } from '$lib/core/storage/room/stack-height';
	import { resolve } from '$app/paths';
	import { countOf, formatSize } from '$lib/ui/numerals';

	interface Divider {
		readonly id: number;
		readonly label: string;
		readonly um: number;
		/** Null: not counted yet. */
		readonly cards: number | null;
	}
	interface Props {
		row: number;
		rowUm: number;
		usedUm: number;
		dividers: readonly Divider[];
		/** The divider that is open. */
		open?: number;
		choose?: (divider: number) => void;
		/** Small boxes at the end of the row. */
		inside?: readonly { readonly id: number; readonly name: string; readonly um: number }[];
	}
	let { row, rowUm, usedUm, dividers, open, choose, inside = [] }: Props = $props();
	const nameOf = (label: string, cards: number | null) =>
		cards === null ? label : `${label}, ${countOf(cards, 'card')}`;
	const mm = (um: number) => Math.round(um / 1000);
	const isOver = $derived(usedUm > rowUm);
	/** A row that is too full is drawn as long as what is in it; its end is marked. */
	const wholeUm = $derived(Math.max(rowUm, usedUm));
	const freeUm = $derived(Math.max(0, rowUm - usedUm));
</script>

<li class="flex items-start gap-2">
	<span class="w-5 shrink-0 pt-2.5 text-right font-serif text-lg quiet" aria-hidden="true"
		>{row}</span
	>
	<div class="min-w-0 flex-1">
		<div
			class={[
				'relative flex h-12 overflow-hidden border bg-base-200',
				isOver ? 'border-error' : 'border-base-content/30'
			]}
		>
			{#each dividers as { id, label, um, cards } (id)}
				<button
					class={[
						'@container flex min-w-6 items-center overflow-hidden border-l-3 px-1 text-left hover:bg-primary/35',
						open === id ? 'border-primary bg-primary/40' : 'border-accent bg-primary/20'
					]}
					style:width="{(100 * um) / wholeUm}%"
					title="{nameOf(label, cards)}, {mm(um)} mm"
					aria-label={nameOf(label, cards)}
					aria-pressed={open === id}
					onclick={() => choose?.(id)}
					><span
						class={[
							// A label narrower than a word is not drawn letter by letter: the title says it.
							'hidden leading-tight wrap-anywhere @min-[2.25rem]:line-clamp-3',
							um < wholeUm / 8 ? 'text-[0.65rem]' : 'text-sm'
						]}>{label}</span
					></button
				>
			{/each}
			{#each inside as { id, name, um } (id)}
				<a
					class="flex min-w-4 items-center overflow-hidden border-2 border-base-content/50 bg-base-100 px-0.5 text-[0.65rem] leading-tight hover:bg-primary/20"
					style:width="{(100 * um) / wholeUm}%"
					href={resolve('/boxes/[box=id]', { box: String(id) })}
					title="Small box: {name}, {mm(um)} mm"
					aria-label="Small box: {name}"><span class="line-clamp-3 wrap-anywhere">{name}</span></a
				>
			{/each}
			{#if isOver}<span
					class="absolute inset-y-0 w-0.5 bg-error"
					style:left="{(100 * rowUm) / wholeUm}%"
					aria-hidden="true"
				></span>{/if}
		</div>
		<p class={['text-xs', isOver ? 'text-error' : 'quiet']}>
			row {row}: {mm(usedUm)} of {formatSize(mm(rowUm))},
			{isOver
				? `${formatSize(Math.max(1, mm(usedUm - rowUm)))} too much`
				: `${countOf(cardsIn(freeUm), 'standard card')} more would fit`}
		</p>
	</div>
</li>
