"""Words by code, a file a country; nothing but words lives here."""
