"""The launcher's commands, one module each; what runs before the set-up uses the standard library alone."""
