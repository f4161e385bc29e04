"""The only place where units are read or converted: everything below it is SI floats and arrays."""
