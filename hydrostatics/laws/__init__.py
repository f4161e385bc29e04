"""One small function per published relation: SI in, SI out, scalars and arrays alike."""
