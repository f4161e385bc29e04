"""What stands beside a section: curves and maps, laid out as the same primitives, on one kind of axes."""
