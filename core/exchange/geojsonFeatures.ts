/** What a GeoJSON file holds (RFC 7946): a collection of features, one feature, or a bare shape. */
type Whole<Feature extends { properties?: unknown; geometry: unknown }> =
  | { features: Feature[] }
  | Feature
  | NonNullable<Feature['geometry']>;

/** The features of a file of any of the three makings; a bare shape says nothing of itself. */
export function featuresOf<Feature extends { properties?: unknown; geometry: unknown }>(
  file: Whole<Feature>,
): Pick<Feature, 'properties' | 'geometry'>[] {
  if (typeof file === 'object' && 'features' in file) return file.features;
  if (typeof file === 'object' && 'geometry' in file) return [file];
  return [{ properties: null, geometry: file } as Pick<Feature, 'properties' | 'geometry'>];
}
