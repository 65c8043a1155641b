import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { type Imported, refused } from './imported';

export type Node = Record<string, unknown>;
/** Elements of one name, as a parser gives none, one or several of them. */
export function listOf(value: unknown): Node[] {
  const all = Array.isArray(value) ? value : value === undefined || value === '' ? [] : [value];
  return all.filter((one): one is Node => typeof one === 'object' && one !== null);
}
/** The text of an element; '' where it has none, or has others in it. */
export function textOf(value: unknown): string {
  if (typeof value === 'string') return value.trim();
  const inside = typeof value === 'object' && value !== null ? (value as Node)['#text'] : undefined;
  return typeof inside === 'string' ? inside.trim() : '';
}

/** The attributes of a tag are compared with one another: a tag with thousands takes seconds. */
const LONG_TAG = /<[^<>]{4000}/;

/**
 * What stands in the outermost element of an XML file, prefixes of names left out, entities resolved; why it
 * is none of that making. Document types, entities of its own and huge tags are refused.
 */
export function xmlRoot(text: string, element: string, making: string): Imported<Node> {
  if (/<!(DOCTYPE|ENTITY)/i.test(text))
    return refused('The file declares a document type or entities. Such files are not read.');
  if (LONG_TAG.test(text))
    return refused(`A tag of the file is longer than any of a ${making}. It is not read.`);
  const valid = XMLValidator.validate(text);
  if (valid !== true) return refused(`Line ${valid.err.line} is no sound XML: ${valid.err.msg}`);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '',
    parseAttributeValue: false,
    parseTagValue: false,
    htmlEntities: true,
    removeNSPrefix: true,
  });
  const root = (parser.parse(text) as Node)[element] as Node | undefined;
  return typeof root === 'object' && root !== null
    ? { taken: true, value: root, troubles: [] }
    : refused(`This is XML, but no ${making}: it has no <${element}> in it.`);
}
