"""Ducts between buildings, as maps hold them."""

from __future__ import annotations

from yarrow.documents.site.geojson import geojson_of, site_of_geojson
from yarrow.door.shared import Answer, Document


def site_to_geojson(document: Document) -> Answer:
    """Ducts between buildings as GeoJSON in local metres.

    Args:
        document: ``yarrow.site/1``.

    Returns:
        A FeatureCollection, in metres.

    Raises:
        DocumentError.
    """
    return geojson_of(document)


def site_from_geojson(collection: object) -> Answer:
    """A site's document out of GeoJSON in local metres.

    Args:
        collection: a FeatureCollection.

    Returns:
        ``yarrow.site/1``.

    Raises:
        DocumentError.
    """
    return site_of_geojson(collection)
