"""The demonstrations, one module each; `ALL_DEMONSTRATIONS` in `registry` lists them."""
