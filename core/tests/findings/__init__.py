"""Every finding, one case each."""
