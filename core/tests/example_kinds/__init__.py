"""Kinds that Yarrow does not have: added as CONTRIBUTING says, they lack nothing."""
