<script lang="ts">
	import { countOf, formatSize } from '$lib/ui/numerals';
	import type { ScanBook } from './scan-book.svelte';

	interface Props {
		book: ScanBook;
		use: ((side: 'front' | 'back') => void) | null;
	}
	/** What a picture says: how the card is centred, how sure that is, its size. */
	let { book, use }: Props = $props();
	/** "55:45", the left or the top first. */
	const ratio = (percent: number) => `${Math.round(percent)}:${100 - Math.round(percent)}`;
	const ways = $derived(
		book.centring
			? [
					{
						name: 'left : right',
						...book.centring.leftRight,
						truth: book.picture?.truth?.leftRight
					},
					{
						name: 'top : bottom',
						...book.centring.topBottom,
						truth: book.picture?.truth?.topBottom
					}
				]
			: []
	);
	const CUTS = {
		'as stated': 'has the size it should have',
		short: 'is short: trimmed, or cut by hand within the line',
		long: 'is long: cut outside the line',
		'not square': 'is not square'
	} as const;
	const mm = (value: number) => value.toFixed(1);
</script>

<div class="min-w-64 flex-1" aria-live="polite" data-testid="scan-result">
	{#each ways as { name, percent, offBy, truth } (name)}
		<p class="mb-1">
			<strong class="font-serif text-3xl font-medium tabular-nums">{ratio(percent)}</strong>
			<span class="quiet"
				>{name}, {percent.toFixed(1)} ± {offBy.toFixed(1)} %{truth === undefined
					? ''
					: `; drawn at ${truth.toFixed(1)} %`}</span
			>
		</p>
	{/each}
	{#if book.isByHand}
		<p class="text-sm">
			By the guides as you laid them. <button class="btn btn-xs" onclick={() => book.reset()}
				>As found</button
			>
		</p>
	{:else if book.found}
		<p class="text-sm">
			{#if book.found.confidence > 0}
				Found with a confidence of {Math.round(100 * book.found.confidence)} %{book.found
					.turnDeg === null
					? ''
					: `, turned by ${book.found.turnDeg.toFixed(1)}°`}.
			{:else}
				<strong>It cannot be said.</strong> Move the guides, and read it by them.
			{/if}
		</p>
		<ul class="text-sm quiet">
			{#each book.found.reasons as reason (reason)}<li>{reason}</li>{/each}
		</ul>
	{/if}
	{#if book.size}
		<p class="mt-3" data-testid="scan-size">
			<strong class="text-lg">{formatSize(book.size.widthMm, book.size.heightMm)}</strong>
			{#if book.cut}
				it {CUTS[book.cut.verdict]}<span class="text-sm quiet"
					>, {book.cut.widthOffMm >= 0 ? '+' : '−'}{mm(Math.abs(book.cut.widthOffMm))} and {book.cut
						.heightOffMm >= 0
						? '+'
						: '−'}{mm(Math.abs(book.cut.heightOffMm))} mm; worst corner {book.size.offSquareDeg.toFixed(
						1
					)}° off square</span
				>
			{/if}
		</p>
		<p class="text-sm quiet">A hand-cut card that is small proves nothing: trust its mark.</p>
	{/if}
	{#if use && book.centring}
		<p class="mt-3 flex gap-2">
			<button class="btn btn-primary btn-sm" onclick={() => use('front')}
				>Take it as the front</button
			>
			<button class="btn btn-sm" onclick={() => use('back')}>as the back</button>
		</p>
	{/if}
	{#if book.guides}
		<p class="mt-3 text-sm quiet">
			{countOf(16, 'guide')}: drag them, or Tab to one and use the arrow keys; Shift moves ten
			pixels.
		</p>
	{/if}
</div>
