<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { Problem } from '$lib/core/problem';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { countOf, formatMoment } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Divider {
		readonly id: number;
		readonly label: string;
		readonly row: number;
		readonly cards: number;
		readonly numbers: string;
		readonly titles: readonly string[];
		readonly releases: readonly { readonly key: string; readonly name: string }[];
		readonly checkedAt: string | null;
	}
	interface Props {
		dividers: readonly Divider[];
		checked: {
			readonly divider: number;
			readonly notThere: number;
			readonly notRecorded: number;
		} | null;
		problems: readonly Problem[];
		/** The divider that problems are of. */
		at: number | null;
	}
	let { dividers, checked, problems, at }: Props = $props();
	let list = $state<HTMLElement>();
	/** The hand goes on to the next divider. */
	const onToNext: SubmitFunction =
		({ formElement }) =>
		async ({ update, result }) => {
			await update({ reset: result.type === 'success' });
			if (result.type !== 'success') return;
			const item = formElement.closest('li');
			const next = item?.nextElementSibling?.querySelector<HTMLElement>('button');
			next?.focus();
		};
</script>

<p class="mb-3 max-w-2xl quiet">
	From front to back: Enter on “All there” confirms a divider; or write what does stand there, “1–40
	42 50x2”. A number stands for all its doubles, a count is taken at its word.
</p>
<ol class="max-w-3xl" aria-label="Stock-take" bind:this={list}>
	{#each dividers as { id, label, row, cards, numbers, titles, releases, checkedAt } (id)}
		<li class="border-t border-base-300 py-3">
			<p class="wrap-anywhere">
				<span class="quiet">row {row}</span>
				<strong class="font-semibold">{label}</strong>, {countOf(cards, 'card')}
				<span class="quiet"
					>· {checkedAt ? `taken ${formatMoment(checkedAt)}` : 'not taken yet'}</span
				>
				<span class="block"
					>{numbers}{titles.length > 0 ? ` ${titles.slice(0, 12).join(', ')}` : ''}</span
				>
			</p>
			<div class="mt-2 flex flex-wrap items-end gap-3">
				<form method="POST" action="?/check" use:enhance={onToNext}>
					<input type="hidden" name="divider" value={id} />
					<button class="btn btn-primary btn-sm" aria-label="All there: {label}">All there</button>
				</form>
				<form
					method="POST"
					action="?/check"
					use:enhance={onToNext}
					class="flex flex-1 items-end gap-2"
				>
					<input type="hidden" name="divider" value={id} />
					{#if releases.length > 1}
						<select class="select w-32 select-sm" name="release" aria-label="Set of {label}">
							{#each releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
						</select>
					{:else}<input type="hidden" name="release" value={releases[0]?.key ?? ''} />{/if}
					<input
						class="input min-w-32 flex-1 input-sm"
						name="line"
						maxlength="5000"
						aria-label="What stands behind {label}"
						placeholder="what stands there"
						autocomplete="off"
						required
					/>
					<button class="btn btn-sm">Compare</button>
				</form>
			</div>
			<ProblemAlert problems={at === id ? problems : []} class="mt-2" />
			{#if checked?.divider === id}
				<p class="mt-2" role="status">
					{#if checked.notThere + checked.notRecorded === 0}As recorded.{:else}
						{[
							checked.notThere > 0 && `${countOf(checked.notThere, 'card')} not there`,
							checked.notRecorded > 0 && `${countOf(checked.notRecorded, 'card')} not recorded`
						]
							.filter(Boolean)
							.join(', ')}:
						<a class="prose-link" href={resolve('/boxes/questions')}>answer the questions</a>{/if}
				</p>
			{/if}
		</li>
	{/each}
</ol>
