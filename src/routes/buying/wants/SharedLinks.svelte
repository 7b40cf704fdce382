<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { page } from '$app/state';
	import { resolve } from '$app/paths';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatDay } from '$lib/ui/numerals';
	import type { PageData } from './$types';
	import type { createWantBook } from './want-book.svelte';

	interface Props {
		shared: PageData['shared'];
		book: ReturnType<typeof createWantBook>;
	}
	let { shared, book }: Props = $props();
	const linkOf = (list: string) => page.url.origin + resolve('/shared/[list]', { list });
</script>

<details class="mb-4 max-w-3xl">
	<summary class="cursor-pointer">
		Share this list
		<span class="text-sm quiet"
			>{shared.length === 0 ? 'with nobody yet' : `by ${countOf(shared.length, 'link')}`}</span
		>
	</summary>
	<div class="pt-2 pl-4">
		<p class="mb-2 text-sm quiet">
			Whoever has a link sees what is looked for, as it is then: no prices, no limits, nothing that
			you own. It opens without a passphrase until you withdraw it.
		</p>
		<ul class="divide-y divide-base-300">
			{#each shared as { id, name, token, madeAt } (id)}
				<li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5" data-testid="shared">
					<a class="link" href={resolve('/shared/[list]', { list: token })}>{name}</a>
					<span class="flex-1 text-sm quiet">since {formatDay(madeAt)}</span>
					<button
						class="btn btn-ghost btn-sm"
						aria-label="Copy the link for {name}"
						onclick={() => void book.copy(linkOf(token))}>Copy the link</button
					>
					<form method="POST" action="?/withdraw" use:enhance>
						<input type="hidden" name="list" value={id} />
						<button class="btn btn-ghost btn-sm" aria-label="Withdraw the link for {name}"
							>Withdraw</button
						>
					</form>
				</li>
			{/each}
		</ul>
		<form method="POST" action="?/share" use:enhance class="mt-2 flex flex-wrap items-end gap-3">
			<Field label="For whom">
				<input name="name" class="input w-56 input-sm" maxlength="100" required />
			</Field>
			<button class="btn btn-sm">Make a link</button>
		</form>
	</div>
</details>
