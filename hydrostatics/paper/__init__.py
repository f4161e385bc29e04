"""The paper: plain primitives, their colours and fonts, and the SVG of a drawing; known to sections and views alike."""
