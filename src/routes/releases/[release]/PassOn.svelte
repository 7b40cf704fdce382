<script lang="ts">
	import { resolve } from '$app/paths';
	import Field from '$lib/ui/Field.svelte';

	/** What is known of the release as a file for another collector. */
	let { release }: { release: { readonly key: string } } = $props();
</script>

<details class="w-full">
	<summary class="cursor-pointer">Pass on what is known of it</summary>
	<p class="mt-2 max-w-2xl quiet">
		One file with the checklist, its tells, odds, errors and what is hunted for, for another
		collector to take in line by line. Nothing that you own is in it.
	</p>
	<form
		method="GET"
		action={resolve('/api/releases/[release]/knowledge.zip', { release: release.key })}
		class="mt-2 flex flex-wrap items-end gap-4"
	>
		<Field label="Learnt by">
			<input class="input w-48 input-sm" name="from" maxlength="100" required />
		</Field>
		<Field label="Reference pictures">
			<select class="select w-32 select-sm" name="pictures">
				<option value="yes">with</option>
				<option value="no">without</option>
			</select>
		</Field>
		<Field label="Prices">
			<select class="select w-32 select-sm" name="prices">
				<option value="no">without</option>
				<option value="yes">with</option>
			</select>
		</Field>
		<button class="btn btn-sm">Write the file</button>
	</form>
</details>
