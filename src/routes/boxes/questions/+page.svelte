<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { DISCREPANCY_ANSWERS } from '$lib/core/storage/stock-take/discrepancy';
	import { createFormKeys } from '$lib/ui/in-turn';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	let list = $state<HTMLElement>();
	const keys = createFormKeys();
	const onToNext: SubmitFunction =
		() =>
		async ({ update }) => {
			await update();
			list?.querySelector<HTMLElement>('button')?.focus();
			keys.answered();
		};

	/** One key answers the question in which the focus is, else the first. */
	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, select, textarea'))
			return;
		const value = CSS.escape(event.key);
		keys.click(() => {
			const focused = document.activeElement?.closest('li[data-question]');
			const item = focused ?? list?.querySelector('li[data-question]');
			return item?.querySelector<HTMLElement>(`button[value="${value}"]`);
		});
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Questions · Jade Binder</title></svelte:head>

<h1 class="mb-2">Questions</h1>
<ProblemAlert problems={form?.problems} />
{#if data.questions.length === 0}
	<p class="max-w-xl text-lg">
		Nothing is open: what is recorded is what was found. A stock-take of a box, or a card that a
		slip did not find, brings questions here.
	</p>
{:else}
	<p class="mb-4 max-w-2xl quiet">
		Where what is recorded and what was found differ. A key answers the first, or the one with the
		focus; undo takes an answer back.
	</p>
	<ol class="max-w-3xl" aria-label="Questions" bind:this={list}>
		{#each data.questions as { id, sort, card, release, quantity, boxId, box, row, divider } (id)}
			<li class="border-t border-base-300 py-3" data-question>
				<p>
					<strong class="font-semibold">{quantity > 1 ? `${quantity} × ` : ''}{card}</strong>
					<span class="quiet">({release})</span>
					<span class={sort === 'not there' ? 'text-error' : 'text-accent'}>{sort}</span>:
					{#if boxId !== null}<a
							class="prose-link"
							href={resolve('/boxes/[box=id]', { box: String(boxId) })}>{box}</a
						>, row {row}, {divider}{:else}in the pile to put away{/if}
				</p>
				<form
					method="POST"
					action="?/answer"
					use:enhance={onToNext}
					class="mt-1.5 flex flex-wrap gap-2"
				>
					<input type="hidden" name="question" value={id} />
					{#each DISCREPANCY_ANSWERS[sort] as { key, name, does } (key)}
						<button
							class="btn btn-sm"
							name="key"
							value={key}
							title={does}
							aria-label="{name}: {does} ({card})"
							><kbd class="kbd kbd-xs">{key}</kbd>{name}<span
								class="font-normal quiet max-sm:hidden">{does}</span
							></button
						>
					{/each}
				</form>
			</li>
		{/each}
	</ol>
	<p class="mt-3 quiet">{countOf(data.questions.length, 'question')}.</p>
{/if}
