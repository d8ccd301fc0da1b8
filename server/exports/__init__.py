"""Paper: a sheet composed once, drawn as SVG for the page and as PDF for the printer."""
