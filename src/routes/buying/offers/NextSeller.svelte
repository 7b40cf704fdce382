<script lang="ts">
	import { resolve } from '$app/paths';
	import type { NamedOutlook } from '$lib/server/buying/offers/next-seller-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	/** Whose list to open next, and what that may bring. */
	let { next, currency }: { next: readonly NamedOutlook[]; currency: string } = $props();
	const MOST = 3;
	/** What prices there were against the usual ones. */
	const levelOf = (level: number) =>
		level < 0.92 ? 'cheaper than most' : level > 1.08 ? 'dearer than most' : 'prices as usual';
</script>

<section class="mb-4 border-l-3 border-primary pl-4" aria-labelledby="next-seller">
	<h2 id="next-seller" class="font-serif text-lg">Whose list to look through next</h2>
	<ol>
		{#each next.slice(0, MOST) as { key, name, open, chance, level, savingMinor } (key)}
			<li data-testid="next-seller">
				<a class="prose-link" href={resolve(`/buying/offers?seller=${key}`)}>{name}</a>:
				{savingMinor > 0
					? `may save ${formatMoney(savingMinor, currency)}, postage paid`
					: 'saves nothing against its postage, as far as can be told'}
				<span class="text-sm quiet"
					>has about {Math.round(100 * chance)} % of {countOf(open, 'want')} not looked for; {levelOf(
						level
					)}</span
				>
			</li>
		{/each}
	</ol>
</section>
