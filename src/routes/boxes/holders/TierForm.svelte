<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { HOLDER_SORTS } from '$lib/core/storage/kinds/holder-kind';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { HolderRules } from '$lib/server/places/holder-tiers';

	let { rules }: { rules: HolderRules & { readonly currency: string } } = $props();
	const HOLDERS = {
		none: 'no holder',
		sleeve: 'sleeve',
		'top-loader': 'sleeve and top loader',
		magnetic: 'magnetic case, bare'
	} as const;
	/** One empty line at the end, to add by. */
	const tiers = $derived([
		...rules.tiers.map((tier) => ({ ...tier, from: formatMinor(tier.fromMinor, rules.currency) })),
		{ name: '', from: '', holder: 'none' as const }
	]);
	const names = $derived([...rules.names, { word: '', tier: rules.tiers[0]?.name ?? '' }]);
</script>

<form
	method="POST"
	action="?/rules"
	use:enhance={() =>
		({ update }) =>
			update({ reset: false })}
>
	<ul class="mb-4 space-y-2" aria-label="Tiers by value">
		{#each tiers as { name, from, holder }, i (i)}
			<li class="flex flex-wrap items-center gap-2">
				<span class="w-16 quiet">{name ? 'from' : 'new: from'}</span>
				<input
					class="input w-24 text-right input-sm"
					name="from"
					inputmode="decimal"
					value={from}
					aria-label="From a value of, tier {i + 1}"
				/>
				<input
					class="input w-44 input-sm"
					name="tier"
					maxlength="60"
					value={name}
					placeholder="name"
					aria-label="Name of tier {i + 1}"
				/>
				<select
					class="select w-56 select-sm"
					name="holder"
					value={holder}
					aria-label="Holder of tier {i + 1}"
				>
					{#each HOLDER_SORTS as sort (sort)}<option value={sort}>{HOLDERS[sort]}</option>{/each}
				</select>
			</li>
		{/each}
	</ul>
	<p class="mb-1 font-semibold">By name, whatever it is worth</p>
	<ul class="mb-3 space-y-2" aria-label="Tiers by name">
		{#each names as { word, tier }, i (i)}
			<li class="flex flex-wrap items-center gap-2">
				<input
					class="input w-56 input-sm"
					name="word"
					maxlength="60"
					value={word}
					placeholder="part of a title, subject, section or finish"
					aria-label="Word {i + 1}"
				/>
				<span class="quiet">goes to</span>
				<select
					class="select w-44 select-sm"
					name="named"
					value={tier}
					aria-label="Tier of word {i + 1}"
				>
					{#each rules.tiers as choice (choice.name)}<option value={choice.name}
							>{choice.name}</option
						>{/each}
				</select>
			</li>
		{/each}
	</ul>
	<label class="mb-3 flex items-center gap-2"
		><span class="quiet">Tiers are in</span>
		<input
			class="input w-20 input-sm"
			name="currency"
			maxlength="3"
			pattern="[A-Za-z]{'{3}'}"
			value={rules.currency}
			aria-label="Currency of the tiers"
		/></label
	>
	<button class="btn btn-sm">Save tiers</button>
	<span class="ml-2 text-sm quiet">An emptied name takes its line away.</span>
</form>
