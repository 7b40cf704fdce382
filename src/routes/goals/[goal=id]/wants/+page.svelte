<script lang="ts">
	import { resolve } from '$app/paths';
	import { formatCount } from '$lib/ui/numerals';
	import { createOwnedBook } from '$lib/ui/owned-book.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data } = $props();
	const book = createOwnedBook({ owned: () => data.owned });
	/** Ticked since the page was opened, by whomever: it stays where it is, so that a slip is seen. */
	const isFound = (version: string) => (book.owned.get(version) ?? 0) > (before.get(version) ?? 0);
	const tick = (version: string) =>
		book.setOwned([{ version, quantity: (before.get(version) ?? 0) + (isFound(version) ? 0 : 1) }]);

	/** As it was when the page was opened: a card that is ticked does not vanish under the finger. */
	// svelte-ignore state_referenced_locally
	const groups = data.groups;
	// svelte-ignore state_referenced_locally
	const before = new Map(data.owned);
</script>

<svelte:head><title>Wants: {data.goal.name} · Jade Binder</title></svelte:head>

<header class="mt-4 mb-4 flex flex-wrap items-end justify-between gap-3">
	<div>
		<p class="quiet print:hidden">
			<a class="prose-link" href={resolve('/goals/[goal=id]', { goal: String(data.goal.id) })}
				>{data.goal.name}</a
			>
		</p>
		<h1>Wanted</h1>
		<p class="hidden print:block">{data.goal.name}</p>
	</div>
	<p>
		<strong class="font-serif text-4xl">{formatCount(data.need - data.have)}</strong>
		<span class="quiet">missing of {formatCount(data.need)}</span>
		<button class="btn ml-3 btn-sm max-sm:hidden print:hidden" onclick={() => print()}>Print</button
		>
	</p>
</header>
<p class="mb-4 quiet print:hidden">
	A tap ticks a card off and logs it; a second tap takes it back.
</p>
<ProblemAlert problems={book.problems} />

{#each groups as { name, have, need, cards } (name)}
	<section class="mb-6 break-inside-avoid-page">
		<h2 class="mb-2">{name} <span class="text-base quiet">{have} of {need}</span></h2>
		<ul class="flex flex-wrap gap-2 print:gap-1">
			{#each cards as { version, number, title, variant, quantity } (version)}
				<li>
					<button
						class={[
							'min-h-11 min-w-11 rounded-sm border px-2 text-lg font-semibold print:min-h-0 print:min-w-0 print:border-0 print:px-1 print:text-sm',
							isFound(version)
								? 'border-primary bg-primary text-primary-content line-through'
								: 'border-base-content/45'
						]}
						aria-pressed={isFound(version)}
						{title}
						onclick={() => tick(version)}
						>{number ?? title}{variant ? ` (${variant})` : ''}{quantity > 1
							? ` ×${quantity}`
							: ''}</button
					>
				</li>
			{/each}
		</ul>
	</section>
{:else}
	<p class="text-lg">Nothing is missing.</p>
{/each}
