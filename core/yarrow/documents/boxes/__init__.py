"""``yarrow.box/1``, ``yarrow.pullbox/1``, ``yarrow.entries/1`` and ``yarrow.sitebox/1``."""
