<script lang="ts">
	import { resolve } from '$app/paths';
	import { enhance } from '$lib/ui/form-actions';
	import { formatCount, formatMoment } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { PageData } from './$types';

	let { look }: { look: NonNullable<PageData['look']> } = $props();
	const ROWS = [
		['releases', 'Releases'],
		['cards', 'Cards on checklists'],
		['copies', 'Copies'],
		['photos', 'Photos'],
		['goals', 'Goals'],
		['binders', 'Binders'],
		['boxes', 'Boxes']
	] as const;
</script>

<section class="mb-6 max-w-3xl border-t-2 border-base-300 pt-3" aria-labelledby="look-head">
	<h2 id="look-head" class="font-serif text-xl">What is in {look.file}</h2>
	{#if !look.kept.ok}
		<ProblemAlert problems={look.kept.problems} />
	{:else}
		{@const kept = look.kept.value}
		<table class="table w-auto table-sm">
			<thead
				><tr><th></th><th class="text-right">In the backup</th><th class="text-right">Now</th></tr
				></thead
			>
			<tbody>
				{#each ROWS as [key, name] (key)}
					{@const now = look.now.ok ? look.now.value[key] : null}
					<tr>
						<th scope="row" class="font-normal">{name}</th>
						<td class="text-right tabular-nums">{formatCount(kept[key])}</td>
						<td class={['text-right tabular-nums', now !== kept[key] && 'font-semibold']}
							>{now === null ? '' : formatCount(now)}</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		<p class="my-2 text-sm">
			{kept.last
				? `Its last step: ${kept.last.label}, ${formatMoment(kept.last.at)}.`
				: 'Nothing was done in it yet.'}
			{kept.isEarlier ? 'It is of an earlier version, and is brought up to date.' : ''}
		</p>
		<form method="POST" action="?/restore" class="flex flex-wrap items-center gap-3" use:enhance>
			<input type="hidden" name="file" value={look.file} />
			<button class="btn btn-sm">Put it in place of what is there now</button>
			<span class="text-sm quiet"
				>A backup of what is there now is made first: the way back is to restore that one.</span
			>
		</form>
	{/if}
	<a class="link" href={resolve('/journal/backups')}>Close</a>
</section>
