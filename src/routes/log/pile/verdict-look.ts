import type { Verdict } from '$lib/core/goal/judge-card';
import { countOf } from '$lib/ui/numerals';

/** How a verdict is told: a word, a mark, a colour, a tone; never by colour alone. */
export const VERDICT_LOOK = {
	needed: { word: 'needed', mark: '✓', face: 'bg-primary text-primary-content', hertz: 880 },
	upgrade: { word: 'upgrade', mark: '↑', face: 'bg-info text-info-content', hertz: 660 },
	spare: { word: 'spare', mark: '+', face: 'bg-accent text-accent-content', hertz: 330 },
	outside: { word: 'no goal', mark: '–', face: 'bg-base-300 text-base-content', hertz: 220 }
} as const satisfies Record<Verdict['kind'], object>;

/** The verdict in a few words. */
export function tellVerdict(verdict: Verdict): string {
	switch (verdict.kind) {
		case 'needed':
			return `for ${verdict.goal}`;
		case 'upgrade':
			return `better than the one in ${verdict.goal}`;
		case 'spare':
			return `${countOf(verdict.copies, 'copy', 'copies')} now`;
		case 'outside':
			return `no goal asks for it; ${countOf(verdict.copies, 'copy', 'copies')} now`;
	}
}

let audio: AudioContext | undefined;

/** A short tone. Browsers allow it only after a key or a tap, which is when it is asked for. */
export function playTone(hertz: number): void {
	audio ??= new AudioContext();
	const tone = audio.createOscillator();
	const volume = audio.createGain();
	tone.frequency.value = hertz;
	volume.gain.setValueAtTime(0.08, audio.currentTime);
	volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.16);
	tone.connect(volume).connect(audio.destination);
	tone.start();
	tone.stop(audio.currentTime + 0.17);
}
