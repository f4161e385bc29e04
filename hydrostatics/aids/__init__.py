"""Measuring aids: what one can weigh, pour, time or read, turned into a size with its uncertainty."""
