<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { HandTo } from '$lib/core/pile/hand-to';
	import type { Problem } from '$lib/core/problem';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { countOf } from '$lib/ui/numerals';
	import type { PileBook } from './pile-book.svelte';

	/** The piles on which cards lie; each is handed over by a tap. */
	interface Props {
		book: PileBook;
		binders: readonly { readonly goal: string; readonly binder: number }[];
		problems: readonly Problem[];
		handed: { readonly cards: number; readonly left: number; readonly to: HandTo } | undefined;
	}
	let { book, binders, problems, handed }: Props = $props();
	const binderOf = (taker: string | undefined) =>
		binders.find(({ goal }) => goal === taker)?.binder;
</script>

{#snippet hand(kind: string, name: string, to: string, label: string)}
	<form method="POST" action="?/hand" use:enhance>
		<input type="hidden" name="pile" value={book.pile} />
		<input type="hidden" name="kind" value={kind} />
		<input type="hidden" name="name" value={name} />
		<input type="hidden" name="to" value={to} />
		<button class="btn min-h-9 btn-sm" aria-label="{label}: {name}">{label}</button>
	</form>
{/snippet}

<ProblemAlert {problems} class="mt-4" />
{#if handed}
	<p class="mt-4" role="status">
		{countOf(handed.cards, 'card')} handed over{handed.left > 0
			? `, ${handed.left} stay: no divider waits for them yet`
			: ''}.
		{#if handed.to === 'to sell'}
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
			<a class="prose-link" href="{resolve('/log/many')}?status=to+sell">All that is to sell</a>
		{/if}
	</p>
{/if}
{#if book.piles.length > 0}
	<section class="mt-5 sm:max-w-3xl" aria-labelledby="piles">
		<h2 id="piles" class="sr-only">Piles</h2>
		<ul>
			{#each book.piles as { name, kind, goal, count } (`${kind} ${name}`)}
				<li
					class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-1.5"
					data-testid="pile-{kind.replace(' ', '-')}"
				>
					<strong class="w-12 shrink-0 text-right font-serif text-2xl">{count}</strong>
					<span class="min-w-40 flex-1 wrap-break-word">{name}</span>
					{#if book.pile !== undefined}
						<span class="flex flex-wrap gap-2">
							{#if binderOf(goal) !== undefined}
								<a
									class="btn min-h-9 btn-sm"
									href={resolve('/binders/[binder=id]/moves', { binder: String(binderOf(goal)) })}
									>Into its binder</a
								>
							{/if}
							{@render hand(kind, name, 'slip', 'Put-away slip')}
							{#if kind !== 'goal'}{@render hand(kind, name, 'to sell', 'To sell')}{/if}
							{@render hand(kind, name, 'put away', 'It is put away')}
						</span>
					{/if}
				</li>
			{/each}
		</ul>
		{#if book.pile !== undefined}
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
			<a class="mr-4 prose-link" href="{resolve('/boxes/sorting')}?pile={book.pile}"
				>How to sort it</a
			>
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
			<a class="prose-link" href="{resolve('/log/many')}?pile={book.pile}">Change them all</a>
		{/if}
	</section>
{/if}
