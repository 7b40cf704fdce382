<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { countOf, formatDay } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const WHY = {
		loan: 'on loan to',
		look: 'to be looked at by',
		grading: 'to be graded by'
	} as const;
	const STATES = { overdue: '! overdue', 'due soon': '◷ due soon', out: '' } as const;
</script>

<svelte:head><title>Out of the house · Jade Binder</title></svelte:head>

<h1 class="mb-2">Out of the house</h1>
<ProblemAlert problems={form?.problems} class="mb-3" />
{#if data.out.length === 0}
	<p class="max-w-xl text-lg">
		Every card is here. What is lent, shown or sent to be graded is said at
		<a class="prose-link" href={resolve('/log/many')}>many copies at once</a>, or from the page of a
		card; it keeps its place until it is back.
	</p>
{:else}
	<ul class="max-w-4xl" aria-label="Cards that are out">
		{#each data.out as line (line.id)}
			<li
				class="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-base-300 py-2"
				data-testid="outing"
			>
				<span class="min-w-56 flex-1">
					<a
						class="prose-link"
						href={resolve('/releases/[release]/cards/[card]', {
							release: line.releaseKey,
							card: line.cardKey
						})}>{line.name}</a
					>{line.quantity > 1 ? ` × ${line.quantity}` : ''}<span class="quiet"
						>, {line.release}</span
					>
					<span class="block text-sm quiet"
						>{line.places.length > 0 ? 'keeps its place: ' : 'has no place yet'}{line.places
							.map(({ name, row }) => (row === null ? name : `${name}, row ${row}`))
							.join('; ')}</span
					>
				</span>
				<span class="sm:w-96">
					{WHY[line.kind]}
					{line.to} since {formatDay(line.outOn)}
					<span class="block text-sm"
						>{#if line.state !== 'out'}<strong
								class={line.state === 'overdue' ? 'text-error' : 'text-accent'}
								>{STATES[line.state]}</strong
							>{/if}
						{line.dueOn ? `due ${formatDay(line.dueOn)}` : 'no day agreed'}</span
					>
				</span>
				{#if line.submissionId !== null}<a
						class="btn min-h-9 btn-sm"
						href={resolve('/bench/grading')}>At the grading desk</a
					>{:else}<form method="POST" action="?/back" use:enhance>
						<input type="hidden" name="outing" value={line.id} />
						<button class="btn min-h-9 btn-sm" aria-label="It is back: {line.name}"
							>It is back</button
						>
					</form>{/if}
			</li>
		{/each}
	</ul>
{/if}
{#if data.back.length > 0}
	<h2 class="mt-8 mb-1 font-serif text-lg">Back again</h2>
	<ul class="max-w-4xl">
		{#each data.back as line (line.id)}
			<li class="border-t border-base-300 py-1">
				<a
					class="prose-link"
					href={resolve('/releases/[release]/cards/[card]', {
						release: line.releaseKey,
						card: line.cardKey
					})}>{line.name}</a
				><span class="quiet"
					>, {line.quantity > 1 ? `${countOf(line.quantity, 'card')}, ` : ''}from {line.to}, {formatDay(
						line.outOn
					)} to {formatDay(line.backOn ?? line.outOn)}{line.kind === 'grading' &&
					line.submissionId === null
						? ': write down its grade there'
						: ''}</span
				>
			</li>
		{/each}
	</ul>
{/if}
