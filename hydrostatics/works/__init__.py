"""Works on every demonstration, each written once: sweep, solve, what if."""
