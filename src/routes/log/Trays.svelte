<script lang="ts">
	import { enhance } from '$app/forms';
	import { resolve } from '$app/paths';
	import type { Problem } from '$lib/core/problem';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** The two trays that are always full. */
	interface Props {
		piles: readonly {
			readonly id: number;
			readonly tray: 'to log' | 'to sort';
			readonly name: string;
			readonly cards: number;
			readonly since: string;
			readonly days: number;
		}[];
		problems: readonly Problem[];
	}
	let { piles, problems }: Props = $props();
	const trays = $derived(
		(['to log', 'to sort'] as const).map((tray) => {
			const inTray = piles.filter((pile) => pile.tray === tray);
			return { tray, inTray, cards: inTray.reduce((sum, { cards }) => sum + cards, 0) };
		})
	);
</script>

<details open={piles.length > 0}>
	<summary class="cursor-pointer font-serif text-lg"
		>Trays{#each trays as { tray, cards } (tray)}<span class="ml-3 font-sans text-base quiet"
				>{tray} <strong class="text-base-content">{formatCount(cards)}</strong></span
			>{/each}</summary
	>
	{#each trays as { tray, inTray } (tray)}
		<ul class="mt-2">
			{#each inTray as { id, name, cards, days } (id)}
				<li class="flex flex-wrap items-center gap-2 border-b border-base-300 py-1">
					<span class="w-16 shrink-0 text-sm quiet">{tray}</span>
					<span class="min-w-0 flex-1 truncate" title={name}>{name}</span>
					<span>{countOf(cards, 'card')}</span>
					<span class={['text-sm', days > 30 ? 'text-accent' : 'quiet']}
						>{countOf(days, 'day')}</span
					>
					{#if tray === 'to log'}
						<a class="btn btn-xs" href={resolve(`/log/pile?pile=${id}`)}>Log it</a>
					{/if}
					<form method="POST" action="?/clear" use:enhance>
						<input type="hidden" name="pile" value={id} />
						<button class="btn btn-ghost btn-xs" aria-label="Clear {name}">✕</button>
					</form>
				</li>
			{/each}
		</ul>
	{/each}
	<form method="POST" action="?/pile" use:enhance class="mt-2 flex flex-wrap gap-2">
		<input
			class="input min-w-0 flex-1 input-sm"
			name="name"
			aria-label="Name of the pile"
			placeholder="lot from the fair"
			required
			maxlength="200"
		/>
		<input
			class="input w-24 input-sm"
			type="number"
			name="cards"
			min="1"
			max="1000000"
			aria-label="Cards in it"
			placeholder="cards"
			required
		/>
		<button class="btn btn-sm">Put in the tray</button>
	</form>
	<ProblemAlert {problems} class="mt-2" />
</details>
