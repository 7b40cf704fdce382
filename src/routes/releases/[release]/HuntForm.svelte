<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Section } from '$lib/core/checklist/section';
	import Field from '$lib/ui/Field.svelte';

	/** What became of a hunt: it was found, or looked for once more. */
	interface Props {
		hunt: string;
		/** The section that it would belong to. */
		section: Section | undefined;
	}
	let { hunt, section }: Props = $props();
	const begin = $derived(section ? `${section.kind} ${section.name}: ` : '');
</script>

<details class="mt-1">
	<summary class="cursor-pointer text-sm prose-link">Found, or looked for again</summary>
	<form
		method="POST"
		action="?/found"
		class="mt-2 flex flex-wrap items-end gap-3"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="hunt" value={hunt} />
		<Field
			label="As lines of an outline: the cards, or the variant"
			class="min-w-0 flex-1 basis-72"
		>
			<textarea class="textarea w-full font-mono text-sm" name="lines" rows="1" value={begin}
			></textarea>
		</Field>
		<button class="btn btn-sm">Found: add it</button>
	</form>
	<form method="POST" action="?/looked" class="mt-2 flex flex-wrap items-end gap-3" use:enhance>
		<input type="hidden" name="hunt" value={hunt} />
		<Field label="Looked for, where" class="min-w-0 flex-1 basis-72">
			<input class="input w-full input-sm" name="where" maxlength="200" />
		</Field>
		<button class="btn btn-sm">Not found today</button>
	</form>
	<form method="POST" action="?/dropHunt" class="mt-2" use:enhance>
		<input type="hidden" name="key" value={hunt} />
		<button class="btn btn-ghost btn-sm">Look for it no more</button>
	</form>
</details>
