"""A section laid out once for a sheet: window, geometry, lettering at places that touch nothing, instruments, what can be held."""
