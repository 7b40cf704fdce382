<script lang="ts">
	import { resolve } from '$app/paths';
	import { countOf } from '$lib/ui/numerals';

	interface Props {
		name: string;
		id: number;
		fill: number;
		cards: number;
		isFull: boolean;
	}
	let { name, id, fill, cards, isFull }: Props = $props();
	const percent = $derived(Math.round(100 * fill));
</script>

<!-- A box from the side: how far it is filled is seen as colour and read as a number. -->
<a
	href={resolve('/boxes/[box=id]', { box: String(id) })}
	class={[
		'relative block size-full overflow-hidden border-2 bg-base-100 px-1.5 py-0.5 leading-tight hover:border-primary',
		isFull ? 'border-error' : 'border-base-content/45'
	]}
	title="{name}: {countOf(cards, 'card')}, {percent} % full{isFull ? ', a row is too full' : ''}"
	aria-label="{name}, {countOf(cards, 'card')}, {percent} % full{isFull
		? ', a row is too full'
		: ''}"
>
	<span
		class="absolute inset-y-0 left-0 bg-primary/25"
		style:width="{Math.min(100, percent)}%"
		aria-hidden="true"
	></span>
	<!-- The number stands in the lower corner, the name flows around it. -->
	<span class="relative block size-full overflow-hidden text-xs wrap-anywhere">
		<span class="float-right h-[calc(100%-1.15rem)] w-0" aria-hidden="true"></span>
		<span class="float-right clear-right pl-1 text-sm leading-tight font-semibold">{percent} %</span
		>{isFull ? '! ' : ''}{name}
	</span>
</a>
