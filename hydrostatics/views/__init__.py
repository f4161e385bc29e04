"""What stands beside a section: charts as numbers in the units told, maps laid out as primitives."""
