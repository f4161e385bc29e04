"""The section to scale: geometry in metres (shapes), laid out once for a paper size, translated by screen, SVG and PDF alike."""
