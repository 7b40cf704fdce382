<script lang="ts">
	import { goto } from '$app/navigation';
	import { refreshAll } from './refresh';
	import { resolve } from '$app/paths';
	import { linesOf } from './lines-of';
	import { formatCount } from './numerals';

	let progress = $state.raw<{ readonly done: number; readonly total: number } | null>(null);
	let problem = $state('');

	async function load() {
		progress = { done: 0, total: 1 };
		problem = '';
		try {
			const response = await fetch(resolve('/api/sample'), { method: 'POST' });
			for await (const line of linesOf(response)) {
				const told = JSON.parse(line) as { loaded?: boolean; done: number; total: number };
				if (told.loaded === undefined) progress = told;
			}
			await refreshAll();
			await goto(resolve('/'));
		} catch {
			problem = 'The sample could not be loaded; nothing was changed.';
		}
		progress = null;
	}
</script>

<button class="btn" onclick={load} disabled={progress !== null}>Load the sample</button>
{#if progress}
	{@const percent = Math.round((100 * progress.done) / progress.total)}
	<p class="basis-full" role="status">
		<progress
			class="progress w-64 progress-primary"
			value={percent}
			max="100"
			aria-label="Loading the sample"
		></progress>
		<span class="quiet">{formatCount(percent)} %</span>
	</p>
{/if}
{#if problem}<p class="basis-full text-error" role="alert">{problem}</p>{/if}
