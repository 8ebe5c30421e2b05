// On its own, so that the check of the file's door is fetched with the first edit and not with the page.
export { troubleAfter } from '@lisse/core';
