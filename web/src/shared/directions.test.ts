import { describe, expect, it } from 'vitest';
import { directionsOf } from './directions';
import { speak } from './language';

const both = { directions: 'Read it twice.', homeDirections: 'Léelo dos veces.', homeLanguage: 'es' };

describe('directions', () => {
  it('are in the language of the page where they exist in it', async () => {
    expect(directionsOf(both)).toEqual({ words: 'Read it twice.', inEnglishOnly: false, language: 'English' });
    await speak('es');
    expect(directionsOf(both)).toEqual({ words: 'Léelo dos veces.', inEnglishOnly: false, language: 'Spanish' });
    const english = { words: 'Read it twice.', inEnglishOnly: true, language: 'English' };
    expect(directionsOf({ ...both, homeDirections: '' })).toEqual(english);
    expect(directionsOf({ ...both, directions: '', homeDirections: '' }).inEnglishOnly).toBe(false);
    await speak('en');
  });
});
