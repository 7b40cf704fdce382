<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Problem } from '$lib/core/problem';
	import LinesField from '$lib/ui/LinesField.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** What friends want: a line each, so that a spare is laid aside for them. */
	let { lines, problems }: { lines: string; problems: readonly Problem[] } = $props();
	const friends = $derived([
		...new Set(lines.split('\n').flatMap((line) => line.split(':')[0]?.trim() || []))
	]);
	let isOpen = $state(false);
</script>

<details class="mt-6 max-w-3xl" bind:open={isOpen}>
	<summary class="cursor-pointer font-serif text-lg"
		>Wanted by friends<span class="ml-3 font-sans text-base quiet"
			>{friends.join(', ') || 'none'}</span
		></summary
	>
	<p class="mt-2 quiet">
		What no goal of yours takes is laid aside for them: a line each, the friend, the release and the
		cards as on the entry line.
	</p>
	<ProblemAlert {problems} class="mt-3" />
	<form
		method="POST"
		action="?/friends"
		class="mt-2"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<label class="sr-only" for="friend-lines">What friends want</label>
		<LinesField
			id="friend-lines"
			name="lines"
			rows={Math.max(3, lines.split('\n').length + 1)}
			placeholder="Mara: Harbour Lights 1994: 5 12-14, 27 brass"
			value={lines}
		/>
		<button class="btn mt-2 btn-sm">Keep these wants</button>
	</form>
</details>
