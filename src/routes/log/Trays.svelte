<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { formatPileAmount } from '$lib/core/pile/pile-amount';
	import { TRAYS, type Tray } from '$lib/core/pile/tray';
	import type { Problem } from '$lib/core/problem';
	import { nameShelf } from '$lib/core/storage/shelves/shelf';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** The trays: piles that wait, with how many cards, since when, and where they lie. */
	interface Props {
		piles: readonly {
			readonly id: number;
			readonly tray: Tray;
			readonly name: string;
			readonly cards: number;
			readonly isEstimate: boolean;
			readonly lengthUm: number | null;
			readonly shelfId: number | null;
			readonly place: string | null;
			readonly days: number;
		}[];
		shelves: readonly {
			readonly id: number;
			readonly room: string;
			readonly unit: string;
			readonly level: number;
		}[];
		problems: readonly Problem[];
	}
	let { piles, shelves, problems }: Props = $props();
	type Pile = Props['piles'][number];
	/** The pile that is changed. */
	let open = $state<number | null>(null);
	const trays = $derived(
		TRAYS.map((tray) => {
			const inTray = piles.filter((pile) => pile.tray === tray);
			return {
				tray,
				inTray,
				cards: inTray.reduce((sum, { cards }) => sum + cards, 0),
				isEstimate: inTray.some(({ isEstimate }) => isEstimate)
			};
		})
	);
	const amountOf = ({ lengthUm, ...pile }: Pile) =>
		formatPileAmount({ ...pile, ...(lengthUm === null ? {} : { lengthUm }) });
	const placeOf = ({ shelfId, place }: Pile) => {
		const shelf = shelves.find(({ id }) => id === shelfId);
		return [shelf && nameShelf(shelf), place].filter(Boolean).join(', ');
	};
</script>

{#snippet fields(pile: Pile | null)}
	<form
		method="POST"
		action="?/pile"
		class="mt-2 flex flex-wrap gap-2"
		use:enhance={() =>
			async ({ update, result }) => {
				await update();
				if (result.type === 'success') open = null;
			}}
	>
		<input type="hidden" name="pile" value={pile?.id ?? ''} />
		<select
			class="select w-36 select-sm"
			name="tray"
			aria-label="Tray"
			value={pile?.tray ?? 'to log'}
		>
			{#each TRAYS as tray (tray)}<option>{tray}</option>{/each}
		</select>
		<input
			class="input min-w-40 flex-1 input-sm"
			name="name"
			value={pile?.name ?? ''}
			aria-label="Name of the pile"
			placeholder="lot from the fair"
			required
			maxlength="200"
		/>
		<input
			class="input w-32 input-sm"
			name="amount"
			value={pile ? amountOf(pile) : ''}
			aria-label="How many cards, or how high"
			placeholder="400 or 35 cm"
			required
			maxlength="40"
		/>
		<select
			class="select w-44 select-sm"
			name="shelfId"
			aria-label="Shelf"
			value={String(pile?.shelfId ?? '')}
		>
			<option value="">No shelf</option>
			{#each shelves as shelf (shelf.id)}<option value={String(shelf.id)}
					>{shelf.room}: {nameShelf(shelf)}</option
				>{/each}
		</select>
		<input
			class="input w-36 input-sm"
			name="place"
			value={pile?.place ?? ''}
			aria-label="Where, in words"
			placeholder="left of the lamp"
			maxlength="200"
		/>
		<button class="btn btn-sm">{pile ? 'Save' : 'Put in the tray'}</button>
	</form>
{/snippet}

<details open={piles.length > 0}>
	<summary class="cursor-pointer font-serif text-lg"
		>Trays{#each trays.filter(({ inTray, tray }) => inTray.length > 0 || tray !== 'never to log') as { tray, cards, isEstimate } (tray)}<span
				class="ml-3 font-sans text-base quiet"
				>{tray}
				<strong class="text-base-content">{isEstimate ? 'about ' : ''}{formatCount(cards)}</strong
				></span
			>{/each}</summary
	>
	{#each trays as { tray, inTray } (tray)}
		<ul class="mt-2">
			{#each inTray as pile (pile.id)}
				{@const { id, name, cards, days, isEstimate } = pile}
				<li class="border-b border-base-300 py-1">
					<div class="flex flex-wrap items-center gap-2">
						<span class="w-24 shrink-0 text-sm quiet">{tray}</span>
						<span class="min-w-40 flex-1 truncate" title={name}
							>{name}
							{#if placeOf(pile)}<span class="text-sm quiet">{placeOf(pile)}</span>{/if}</span
						>
						<span class={{ italic: isEstimate }}
							>{isEstimate ? 'about ' : ''}{countOf(cards, 'card')}</span
						>
						<span class={['text-sm', days > 30 ? 'text-accent' : 'quiet']}
							>{countOf(days, 'day')}</span
						>
						{#if tray !== 'never to log'}
							<a
								class="btn btn-xs"
								href={resolve(`/log/pile?pile=${id}`)}
								aria-label="{tray === 'to log' ? 'Log it' : 'Hand it over'}: {name}"
								>{tray === 'to log' ? 'Log it' : 'Hand it over'}</a
							>
						{/if}
						<button
							type="button"
							class="btn btn-ghost btn-xs"
							aria-label="Change {name}"
							aria-expanded={open === id}
							onclick={() => (open = open === id ? null : id)}>Change</button
						>
						<form method="POST" action="?/clear" use:enhance>
							<input type="hidden" name="pile" value={id} />
							<button class="btn btn-ghost btn-xs" aria-label="Clear {name}">✕</button>
						</form>
					</div>
					{#if open === id}{@render fields(pile)}{/if}
				</li>
			{/each}
		</ul>
	{/each}
	{@render fields(null)}
	<ProblemAlert {problems} class="mt-2" />
</details>
