<script module lang="ts">
	const EXAMPLE = [
		'Nan Gannaway: subject Nan Gannaway',
		'Valuables: worth 20.00 EUR',
		'To sell: finish any parallel and not numbered'
	].join('\n');
	const WORDS =
		'Words: subject, group, release, maker, section kind, mark, finish, status or attribute with one or several names (a; b), tag role = keeper, from 1990, to 1999, worth 20 EUR, variant, numbered, graded, not before these, all; “and” between them.';
</script>

<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { formatClassLine } from '$lib/core/storage/classes/class-lines';
	import type { ClassRule } from '$lib/core/storage/classes/storage-class';
	import type { Problem } from '$lib/core/problem';
	import { refreshJournal } from '$lib/ui/refresh';
	import LinesField from '$lib/ui/LinesField.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** Where cards are kept that do not stay with their set: a line each, the first that holds counts. */
	let { classes, problems }: { classes: readonly ClassRule[]; problems: readonly Problem[] } =
		$props();
	let isOpen = $state(false);
</script>

<details class="mt-8 max-w-3xl" bind:open={isOpen}>
	<summary class="cursor-pointer font-serif text-lg"
		>What is kept apart<span class="ml-3 font-sans text-base quiet"
			>{classes.map(({ name }) => name).join(', ') || 'none'}</span
		></summary
	>
	<p class="mt-2 quiet">
		What has piles and boxes of its own, whatever set it is of: a line each, its name, a colon and
		what it asks for. The first line that holds counts; after them each value tier has its own box.
		What lies in rigid holders stands apart in each.
	</p>
	<ProblemAlert {problems} class="mt-3" />
	<form
		method="POST"
		action="?/classes"
		class="mt-2"
		use:enhance={() =>
			async ({ update }) => {
				await update({ reset: false, invalidateAll: false });
				await refreshJournal();
			}}
	>
		<label class="sr-only" for="class-lines">Storage classes</label>
		<LinesField
			id="class-lines"
			name="lines"
			rows={Math.max(4, classes.length + 1)}
			placeholder={EXAMPLE}
			value={classes.map(formatClassLine).join('\n')}
			aria-describedby="class-words"
		/>
		<p id="class-words" class="mt-1 text-sm quiet">
			{WORDS}
		</p>
		<button class="btn mt-2 btn-sm">Keep these lines</button>
	</form>
</details>
