<script lang="ts">
	import { onMount } from 'svelte';
	import { afterNavigate, beforeNavigate } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { countOf, formatAgo } from '$lib/ui/numerals';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import { refreshAll } from '$lib/ui/refresh';
	import { tellTrouble } from '$lib/ui/trouble.svelte';
	import { link } from './link.svelte';
	import { outbox } from './outbox.svelte';
	import { stayOnPage } from './stay-on-page';

	/** When the server sent the page, ms since 1970. */
	let { servedAt }: { servedAt: number } = $props();
	// svelte-ignore state_referenced_locally
	let shownAt = $state(servedAt);
	let now = $state(Date.now());

	async function sendAll() {
		const isAny = await outbox.flush();
		if (isAny) await refreshAll();
	}

	onMount(() => {
		const stops = [
			outbox.watch(),
			stayOnPage(),
			// What others did meanwhile is shown as well.
			link.onUp(() => void outbox.flush().then(refreshAll))
		];
		const timer = setInterval(() => (now = Date.now()), 30_000);
		if (!navigator.onLine) void link.probe();
		const onOnline = () => void link.probe().then(sendAll);
		const onOffline = () => void link.probe();
		addEventListener('online', onOnline);
		addEventListener('offline', onOffline);
		void sendAll();
		return () => {
			removeEventListener('online', onOnline);
			removeEventListener('offline', onOffline);
			clearInterval(timer);
			for (const stop of stops) stop();
		};
	});
	afterNavigate(({ type }) => {
		now = Date.now();
		// A page that the browser kept says itself when it was sent.
		shownAt = type === 'enter' || link.isDown ? servedAt : now;
	});
	beforeNavigate((going) => {
		if (!link.isDown || going.willUnload || navigator.serviceWorker?.controller) return;
		going.cancel();
		tellTrouble(null, 'There is no network: this page stays open until it is back.');
	});
</script>

{#if link.isDown || outbox.waiting.length > 0}
	<div
		class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1 border-l-3 border-accent pl-4 print:hidden"
		role="status"
		data-testid="offline"
	>
		{#if link.isDown}
			<span>
				<strong>No network.</strong> What is shown is as of
				<time datetime={new Date(shownAt).toISOString()}>{formatAgo(shownAt, now)}</time>.
			</span>
		{/if}
		{#if outbox.waiting.length > 0}
			<span>
				{countOf(outbox.waiting.length, 'change')}
				{outbox.isSending ? 'on the way' : link.isDown ? 'to send when it is back' : 'to send'}.
			</span>
			{#if !link.isDown && !outbox.isSending}
				<button class="btn btn-sm" onclick={() => void sendAll()}>Send now</button>
			{/if}
		{/if}
		<a class="prose-link" href={resolve('/take-along')}>Take along</a>
	</div>
{/if}
{#if outbox.refused.length > 0}
	<section class="mb-4 border-l-3 border-error pl-4 print:hidden" aria-labelledby="refused">
		<h2 id="refused" class="text-base">Not taken when it was sent</h2>
		<ul>
			{#each outbox.refused as { id, what, at, problems = [] } (id)}
				<li class="border-t border-base-300 py-1.5">
					<span>{what}</span> <span class="quiet">{formatAgo(at, now)}</span>
					<ProblemList {problems} />
					<span class="flex gap-2">
						<button
							class="btn btn-sm"
							onclick={() => {
								outbox.again(id);
								void sendAll();
							}}>Send again</button
						>
						<button class="btn btn-ghost btn-sm" onclick={() => outbox.drop(id)}>Let it go</button>
					</span>
				</li>
			{/each}
		</ul>
	</section>
{/if}
