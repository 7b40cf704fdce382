<script lang="ts">
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import { formatGuarantee } from '$lib/core/checklist/rule-sheet/guarantees-column';
	import type { PackType, Release } from '$lib/core/checklist/release';

	/** How a release was sold. */
	let { release }: { release: Release } = $props();
	const nameOf = (key: string) => release.packTypes.find((known) => known.key === key)?.name ?? key;
	const tell = ({
		form,
		cardsPerPack,
		packsPerBox,
		priceMinor,
		currency,
		packs = [],
		boxesPerCase,
		guarantees = []
	}: PackType) =>
		[
			form,
			packs.map(({ count, packType }) => `${count} × ${nameOf(packType)}`).join(' and '),
			cardsPerPack && `${countOf(cardsPerPack, 'card')} a pack`,
			packsPerBox && `${countOf(packsPerBox, 'pack')} a box`,
			boxesPerCase && `${countOf(boxesPerCase, 'box', 'boxes')} a case`,
			...guarantees.map((guarantee) => `in every box ${formatGuarantee(guarantee, release)}`),
			priceMinor !== undefined && currency && `${formatMoney(priceMinor, currency)} a pack`
		]
			.filter(Boolean)
			.join(', ');
</script>

{#if release.packTypes.length > 0}
	<section class="mb-4" aria-labelledby="packs">
		<h2 id="packs" class="mb-1">How it was sold</h2>
		<dl class="grid max-w-4xl gap-x-5 gap-y-1 sm:grid-cols-[8rem_1fr]">
			{#each release.packTypes as pack, i (i)}
				<dt class="font-semibold">{pack.name}</dt>
				<dd>{tell(pack) || 'nothing else is known'}</dd>
			{/each}
		</dl>
	</section>
{/if}
