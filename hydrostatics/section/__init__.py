"""The section's words for authors: shapes, outlines that several share, a movement's timeline, a curve; geometry in metres."""
