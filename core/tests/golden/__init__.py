"""Every answer to a large lot of documents, recorded before a redesign and compared after it."""
