<script lang="ts">
	import type { OpeningView } from '$lib/server/packs/openings/openings-view';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import { oddsText } from '../../odds-text';

	/** What opened packs say of the stated odds, in plain words. */
	let { realised }: { realised: NonNullable<OpeningView['realised']> } = $props();
	type Line = (typeof realised.lines)[number];

	const percent = (chance: number) =>
		chance < 0.001
			? 'less than one in a thousand'
			: `${(100 * chance).toFixed(chance < 0.1 ? 1 : 0)} in 100`;
	function words({ found, low, fit, perBox, isUsual }: Line): string {
		if (fit === null) {
			if (perBox !== null)
				return isUsual ? 'as every box should' : 'not what every box should hold';
			return isUsual
				? 'as it should be'
				: found < low
					? 'fewer than there should be'
					: 'more than there should be';
		}
		switch (fit.verdict) {
			case 'as stated':
				return 'as stated';
			case 'too few packs':
				return fit.packsToTell >= 1_000_000
					? 'too rare to tell'
					: `too few packs to tell: ${formatCount(fit.packsToTell)} would show half the odds`;
			case 'fewer than stated':
				return `fewer than stated: so few, or stranger, come by chance ${percent(fit.chance)}`;
			case 'more than stated':
				return `more than stated: so many, or stranger, come by chance ${percent(fit.chance)}`;
		}
	}
	const listed = (cards: (typeof realised)['strangers']) =>
		cards.map(({ name, quantity }) => (quantity > 1 ? `${name} × ${quantity}` : name)).join(', ');
	const isOff = ({ fit }: Line) => fit?.verdict.endsWith('than stated') ?? false;
</script>

<section aria-labelledby="realised" class="overflow-x-auto">
	<h2 id="realised" class="mb-1 font-serif text-xl">Do the odds hold?</h2>
	<table class="table table-sm" data-testid="realised-odds">
		<thead>
			<tr>
				<th scope="col">In a pack</th>
				<th scope="col">Stated</th>
				<th scope="col" class="text-right">Found</th>
				<th scope="col" class="text-right">19 of 20 times</th>
				<th scope="col">What that says</th>
			</tr>
		</thead>
		<tbody>
			{#each realised.lines as line (line.key)}
				<tr>
					<th scope="row" class="font-normal">{line.name}</th>
					<td>{line.perBox === null ? oddsText(line.comes) : `${line.perBox} a box together`}</td>
					<td class="text-right font-semibold">{formatCount(line.found)}</td>
					<td class="text-right quiet">{line.low}–{line.high}</td>
					<td class={isOff(line) ? 'text-accent' : ''}>{words(line)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if realised.unstated.length > 0}
		<p class="mt-1 text-sm">Nobody states the odds of {listed(realised.unstated)}.</p>
	{/if}
	{#if realised.strangers.length > 0}
		<p class="mt-1 text-sm">
			Such packs are not known to hold {listed(realised.strangers)}: is it another pack, or does the
			release say too little?
		</p>
	{/if}
	<p class="text-sm quiet">
		{countOf(realised.packs, 'pack')}. Each group is held to its odds by the exact binomial law;
		with several groups each is doubted only beyond its share of one chance in twenty.
	</p>
</section>
