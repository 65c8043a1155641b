/** What a new outing is made of; the list itself can do without it. */
export { newOuting } from '#core/editing/newOuting';
export { readReferences } from '../../documents/queries';
