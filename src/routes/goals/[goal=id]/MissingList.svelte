<script lang="ts">
	import { resolve } from '$app/paths';
	import Check from '@lucide/svelte/icons/check';
	import Copy from '@lucide/svelte/icons/copy';
	import { formatMissingText } from '$lib/core/goal/missing-list';

	interface Props {
		title: string;
		groups: readonly {
			readonly name: string;
			readonly have: number;
			readonly need: number;
			readonly text: string;
		}[];
		goalId: number;
	}
	let { title, groups, goalId }: Props = $props();
	let copied = $state(false);
	let fallback = $state('');

	async function copy() {
		const text = formatMissingText(title, groups);
		try {
			await navigator.clipboard.writeText(text);
			copied = true;
			setTimeout(() => (copied = false), 2500);
		} catch {
			// Over plain http from another machine a browser gives no clipboard: show the text to take.
			fallback = text;
		}
	}
</script>

<section aria-labelledby="missing">
	<div class="mb-2 flex flex-wrap items-center justify-between gap-3">
		<h2 id="missing">Have and missing</h2>
		<div class="flex gap-2">
			<button class="btn btn-sm" onclick={copy}>
				{#if copied}<Check class="size-4" aria-hidden="true" />Copied{:else}<Copy
						class="size-4"
						aria-hidden="true"
					/>Copy as text{/if}
			</button>
			<a class="btn btn-sm" href={resolve('/goals/[goal=id]/wants', { goal: String(goalId) })}
				>Carry or print</a
			>
			<a
				class="btn btn-sm"
				download
				href={resolve('/api/goals/[goal=id]/missing.csv', { goal: String(goalId) })}>CSV</a
			>
		</div>
	</div>
	<span class="sr-only" role="status">{copied ? 'The list is copied.' : ''}</span>
	{#if fallback}
		<textarea class="textarea mb-3 w-full font-mono text-sm" rows="6" readonly>{fallback}</textarea>
	{/if}
	<table class="w-full">
		<thead class="sr-only"><tr><th>Section</th><th>Have</th><th>Missing</th></tr></thead>
		<tbody>
			{#each groups as { name, have, need, text } (name)}
				<tr
					class="grid grid-cols-[1fr_auto] items-baseline gap-x-6 border-t border-base-300 py-2 sm:grid-cols-[12rem_6.5rem_1fr]"
				>
					<th scope="row" class="text-left font-semibold">{name}</th>
					<td class="text-right whitespace-nowrap sm:text-left"
						><strong class="text-lg">{have}</strong> <span class="quiet">of {need}</span></td
					>
					<td class="col-span-2 wrap-break-word sm:col-span-1" data-testid="missing"
						>{#if text}{#each text.split(', ') as piece, i (i)}{i > 0 ? ', ' : ''}<span
									class={[!piece.includes('"') && 'whitespace-nowrap']}>{piece}</span
								>{/each}{:else}<span class="font-semibold text-accent">complete</span>{/if}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
</section>
