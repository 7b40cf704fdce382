<script lang="ts">
	import { onMount, type Component, type Snippet } from 'svelte';
	import { afterNavigate, goto } from '$app/navigation';
	import type { Role } from '$lib/schemas/role';
	import type { NextSteps } from '$lib/server/journal/undo';
	import { refreshAll } from '../refresh';
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
	import History from '@lucide/svelte/icons/history';
	import Keyboard from '@lucide/svelte/icons/keyboard';
	import Search from '@lucide/svelte/icons/search';
	import { createTurns } from '../in-turn';
	import OfflineStrip from '../offline/OfflineStrip.svelte';
	import { send } from '../send';
	import { createNextSteps } from './next-steps.svelte';
	import { holdKeysUntil } from './early-input';
	import JournalStrip from './JournalStrip.svelte';
	import Sidebar from './Sidebar.svelte';
	import ThemeSwitch from './ThemeSwitch.svelte';
	import Trouble from './Trouble.svelte';
	import ViewerStrip from './ViewerStrip.svelte';
	import { watchChanges } from './watch-changes';
	import { trouble } from '../trouble.svelte';

	interface Props {
		/** What every page comes with. */
		data: NextSteps & {
			readonly role: Role | null;
			readonly theme: string | undefined;
			readonly servedAt: number;
		};
		children: Snippet;
	}
	let { data, children }: Props = $props();
	let helpOpen = $state(false);
	/** What undo or redo did; it stands until something else happens. */
	let told = $state({ text: '', at: '' });
	const journalAt = $derived(`${data.undo?.id ?? ''} ${data.redo?.id ?? ''}`);
	const message = $derived(told.at === journalAt ? told.text : '');

	const next = createNextSteps(() => `${journalAt} ${told.text}`);

	/** Keys may come faster than steps are taken back: each waits for the one before it. */
	const inTurn = createTurns();
	const move = (direction: 'undo' | 'redo') => void inTurn(() => takeStep(direction));

	async function takeStep(direction: 'undo' | 'redo') {
		const outcome = await send<{ label: string }>('POST', `/api/journal/${direction}`);
		await refreshAll();
		const text = outcome.ok
			? `${direction === 'undo' ? 'Undone' : 'Done again'}: ${outcome.value.label}`
			: (outcome.problems[0]?.message ?? '');
		told = { text, at: journalAt };
	}

	/** The entry line comes over the view that is open; its code is fetched when it is first asked for. */
	let EntryDialog = $state<Component<{
		releaseKey: string | null;
		onReady: () => void;
		close: () => void;
	}> | null>(null);
	let isEntering = $state(false);
	const releaseHere = $derived(
		(page.data as { release?: { key?: string } | null }).release?.key ?? null
	);
	/** Said when the entry line can be typed into, or tells why not. */
	let onEntryReady = $state(() => {});
	function openEntryLine() {
		const ready = new Promise<void>((resolve) => (onEntryReady = resolve));
		void holdKeysUntil(showEntryLine().then(() => ready));
	}
	async function showEntryLine() {
		EntryDialog ??= (await import('../entry-line/EntryDialog.svelte')).default;
		isEntering = true;
	}

	onMount(() => watchChanges(() => void refreshAll()));
	afterNavigate(trouble.close);

	function isTyping(target: EventTarget | null): boolean {
		return (
			target instanceof HTMLElement && target.matches('input:not([type=radio]), textarea, select')
		);
	}

	function onkeydown(event: KeyboardEvent) {
		const target = event.target;
		const holdsText = target instanceof HTMLInputElement && isTyping(target) && target.value !== '';
		if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
			if (holdsText || target instanceof HTMLTextAreaElement) return;
			event.preventDefault();
			move(event.shiftKey ? 'redo' : 'undo');
		} else if (isTyping(target) || event.ctrlKey || event.metaKey || event.altKey) {
			return;
		} else if (event.key === '?') {
			event.preventDefault();
			helpOpen = true;
		} else if (event.key === 's') {
			event.preventDefault();
			void goto(resolve('/search'));
		} else if (event.key === '/') {
			event.preventDefault();
			const line = document.getElementById('entry-line');
			if (line) line.focus();
			else openEntryLine();
		}
	}
</script>

<svelte:window {onkeydown} />

<a href="#main" class="btn fixed top-2 left-2 z-30 -translate-y-20 btn-primary focus:translate-y-0"
	>Skip to the page</a
>
<Sidebar pathname={page.url.pathname} />
<div class="pb-20 lg:pb-10 lg:pl-48 print:p-0">
	<header class="flex h-12 items-center gap-1 px-2 sm:px-6 print:hidden">
		<JournalStrip steps={next.mine} last={data.undo?.label ?? null} {message} {move} />
		<a
			class="btn btn-square btn-ghost btn-sm max-sm:hidden"
			href={resolve('/journal')}
			aria-label="Journal"
			title="Journal: what was done"><History class="size-4" aria-hidden="true" /></a
		>
		<a
			class="btn btn-square btn-ghost btn-sm"
			href={resolve('/search')}
			aria-label="Search"
			title="Search everything (s)"><Search class="size-4" aria-hidden="true" /></a
		>
		<button
			class="btn btn-square btn-ghost btn-sm"
			onclick={() => (helpOpen = true)}
			aria-label="Keys and words of this view"
			title="Keys and words of this view (?)"><Keyboard class="size-4" aria-hidden="true" /></button
		>
		<ThemeSwitch theme={data.theme} back={page.url.pathname + page.url.search} />
	</header>
	<main id="main" class="mx-auto max-w-6xl px-4 sm:px-8">
		{#if data.role === 'viewer'}<ViewerStrip />{/if}
		<Trouble />
		<OfflineStrip servedAt={data.servedAt} />
		{@render children()}
	</main>
</div>
{#if isEntering && EntryDialog}
	<EntryDialog releaseKey={releaseHere} onReady={onEntryReady} close={() => (isEntering = false)} />
{/if}
{#if helpOpen}
	<!-- Its code, with all keys and words, is fetched when it is first asked for. -->
	{#await import('./KeyHelp.svelte') then { default: KeyHelp }}
		<KeyHelp pathname={page.url.pathname} bind:open={helpOpen} />
	{/await}
{/if}
