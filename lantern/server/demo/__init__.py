"""Gullmark Bay Community School: made-up people on a made-up coast, for demo and tests."""
