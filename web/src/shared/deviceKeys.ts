/** What is kept on the device under a name that more than one place knows. */

/**
 * The reader whose page opens without a network. The number goes up when a kept session could no longer be read.
 */
export const lastReader = 'dc-reader-2';
/** The language somebody chose here. */
export const chosenLanguage = 'dc-language';
