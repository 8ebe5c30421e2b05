/** Figures, and headings after a comma, in units that do not belong in a job of each system. */
export const OTHER_UNITS = {
  feet: /\d\s?(?:mm|cm|m|m²|m³|L|mL|kg|g|°C|km)(?![\p{L}\d])|, (?:mm|m|m²|m³|L|kg|°C)$|kg\/|\/L\b/u,
  metric:
    /\d\s?(?:ft|in|lb|oz|gal|qt|pt|°F|sq ft|yd)(?![\p{L}\d])|\d["″]|\d[′'](?!s)|, (?:ft|in|lb|gal|sq ft|°F)$/u,
} as const;
