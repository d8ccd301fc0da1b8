"""Ducts between buildings."""

from __future__ import annotations

from yarrow.documents.site_file import plan_of_site, read_site, site_document
from yarrow.documents.site_geojson import geojson_of, site_of_geojson
from yarrow.documents.writing import plain
from yarrow.documents.writing import site_csv as _site_csv
from yarrow.door.shared import Answer, Document, wording_for
from yarrow.site.site import DuctSite
from yarrow.site.site_plan import SitePlan
from yarrow.wording.wording import Country


def site(document: Document, country: Country | None = None) -> Answer:
    """Ducts between buildings: pull points, the ways of cables, ducts, what one cut takes down.

    Args: document, ``yarrow.site/1``.
    Returns: ``yarrow.site-plan/1``, points and lengths in metres.
    Raises: DocumentError; also where the extra ``yarrow[site]`` is not installed.
    Source: docs/ducts.md.
    """
    return plain(site_document(document), wording_for(document, country))


def read_ducts(document: object) -> None:
    """Whether a site of ducts can be read.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    read_site(document)


def site_values(document: Document) -> tuple[DuctSite, SitePlan]:
    """The site as it was told and the same answer, as frozen values, for who draws it.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    site_read = read_site(document)
    return site_read, plan_of_site(site_read)


def site_to_geojson(document: Document) -> Answer:
    """Ducts between buildings as GeoJSON in local metres.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    return geojson_of(document)


def site_from_geojson(collection: object) -> Answer:
    """A site's document out of GeoJSON in local metres.

    Args: collection, a FeatureCollection.
    Returns: ``yarrow.site/1``.
    Raises: DocumentError.
    """
    return site_of_geojson(collection)


def site_as_csv(document: Document, country: Country | None = None) -> str:
    """What a site takes, as a table: what, how much, its unit, and as it is read.

    Args: document, ``yarrow.site/1``.
    Raises: DocumentError.
    """
    return _site_csv(site(document, country))
