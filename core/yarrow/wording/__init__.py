"""Words by code, a catalogue a language; nothing but words lives here."""
