<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Problem } from '$lib/core/problem';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** A variant or an error that is recorded by one line; it stands in its chapter then. */
	let { problems }: { problems: readonly Problem[] } = $props();
</script>

<section class="mt-8 max-w-4xl" aria-labelledby="variants">
	<h2 id="variants" class="mb-2">Found a variant or an error?</h2>
	<form method="POST" action="?/variant" use:enhance class="mt-3 flex flex-wrap items-end gap-2">
		<Field label="Record one in a line" class="min-w-0 flex-1 basis-72">
			<input
				class="input w-full"
				name="line"
				required
				maxlength="1000"
				autocomplete="off"
				placeholder="27: home town, two printings"
			/>
		</Field>
		<button class="btn">Record</button>
	</form>
	<ProblemAlert {problems} class="mt-3" />
</section>
