"""A run as it was read and resolved, and its plan: values, and nothing that works them out."""
