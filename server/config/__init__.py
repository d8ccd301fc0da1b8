"""Settings, addresses and the server's entry point."""
