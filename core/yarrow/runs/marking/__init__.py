"""Marks on the straight pipe, exact or printed, and what comes of them as bent."""
