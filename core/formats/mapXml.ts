/** Whether the outermost element of an XML file is that of KML; else it is taken for GPX. */
export const isKml = (root: string): boolean => /^(.+:)?kml$/i.test(root)
