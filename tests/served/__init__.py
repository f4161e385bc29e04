"""The application as it is served: real processes, real ports."""
