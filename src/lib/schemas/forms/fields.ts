import { LONGEST_LINE } from '../../core/shorthand/parse-entry-line.ts';
import { Type } from 'typebox';
import { idOf, list, orNull } from '../vocabulary.ts';

/** Fields that forms of many pages have. `readForm` reads them. */
export const Name = Type.String({ maxLength: 200, description: 'At most 200 characters.' });
export const Key = Type.String({ maxLength: 420 });
export const Line = Type.String({ maxLength: LONGEST_LINE });
/** As it was typed or pasted, blanks and all. */
export const asTyped = (maxLength: number) =>
	Type.String({ maxLength, contentMediaType: 'text/plain' });
/** Fields line by line: the first of each list belongs together, and so on. */
export const lines = list(Type.String({ maxLength: 420 }), 1000);
export const shelfId = orNull(idOf('shelves', 'Choose a shelf, or none.'));
