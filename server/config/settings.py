"""Django's settings. What differs between machines stands in ``config.operating``."""

from __future__ import annotations

from datetime import timedelta
from pathlib import Path

from csp.constants import NONCE, SELF

from config.operating import operating

ROOT = Path(__file__).resolve().parent.parent.parent
WEB_DIST = ROOT / "web" / "dist"

_OPERATING = operating()

DEBUG = _OPERATING.debug
SECRET_KEY = _OPERATING.secret_key.get_secret_value()
ALLOWED_HOSTS = list(_OPERATING.hosts)

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "axes",
    "csp",
    "django_otp",
    "django_otp.plugins.otp_totp",
    "django_otp.plugins.otp_static",
    "procrastinate.contrib.django",
    "accounts",
    "jobs",
    "benders",
    "gauge",
    "versions",
    "long_work",
    "api",
    "keeping",
]

MIDDLEWARE = [
    "config.health.Health",
    "config.access.NumberedRequests",
    "config.proxies.FromProxy",
    "config.methods.AnswersByMethod",
    "api.failures.NumberedFailures",
    "django.middleware.security.SecurityMiddleware",
    "config.policy.PagePolicy",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "config.limits.BodyLimit",
    "config.deadline.WorkDeadline",
    "accounts.sessions.CookieMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "accounts.sessions.MemberMiddleware",
    "accounts.audit.RecordedChanges",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
    "axes.middleware.AxesMiddleware",
]

ROOT_URLCONF = "config.urls"
WSGI_APPLICATION = "config.wsgi.application"
TEMPLATES = [
    {
        "BACKEND": "django.template.backends.django.DjangoTemplates",
        "DIRS": [WEB_DIST],
        "OPTIONS": {"context_processors": ["django.template.context_processors.request"]},
    }
]

DATABASES = {
    "default": {
        "ENGINE": "django.db.backends.postgresql",
        **_OPERATING.database_settings,
        "CONN_MAX_AGE": 60,
        "CONN_HEALTH_CHECKS": True,
    }
}
CACHES = {
    "default": {"BACKEND": "django.core.cache.backends.locmem.LocMemCache"},
    # What runs take for a job's cut list, for all processes. See jobs/taken.py.
    "worked_out": {
        "BACKEND": "django.core.cache.backends.db.DatabaseCache",
        "LOCATION": "worked_out",
        "OPTIONS": {"MAX_ENTRIES": 100_000},
    },
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"

AUTH_USER_MODEL = "accounts.Member"
AUTHENTICATION_BACKENDS = [
    "axes.backends.AxesStandaloneBackend",
    "django.contrib.auth.backends.ModelBackend",
]
PASSWORD_HASHERS = ["django.contrib.auth.hashers.Argon2PasswordHasher"]
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": f"django.contrib.auth.password_validation.{name}"}
    for name in (
        "UserAttributeSimilarityValidator",
        "MinimumLengthValidator",
        "CommonPasswordValidator",
        "NumericPasswordValidator",
    )
]
AXES_FAILURE_LIMIT = 5
AXES_COOLOFF_TIME = timedelta(minutes=5)
AXES_LOCKOUT_PARAMETERS = [["username", "ip_address"]]
AXES_RESET_ON_SUCCESS = True
AXES_VERBOSE = False
AXES_LOCKOUT_CALLABLE = "config.limits.locked_out"

OTP_TOTP_ISSUER = "Yarrow"

SESSION_ENGINE = "accounts.sessions"
SESSION_COOKIE_HTTPONLY = True
SESSION_COOKIE_SAMESITE = "Lax"
# The page takes the token from /api/session, so that no script needs to read a cookie.
CSRF_COOKIE_HTTPONLY = True
CSRF_COOKIE_SAMESITE = "Lax"
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = _OPERATING.https
SECURE_HSTS_SECONDS = _OPERATING.hsts_days * 86_400
CSRF_TRUSTED_ORIGINS = list(_OPERATING.trusted_origins)
"""Where the page comes from as a browser names it, with https, where a proxy ends TLS."""
PROXIES = _OPERATING.proxies
"""How many proxies of our own stand before this: so many of the last addresses that a request is
said to have come from are theirs to say. 0: what a header says of it, anybody can write."""
if PROXIES:
    SECURE_PROXY_SSL_HEADER = ("HTTP_X_FORWARDED_PROTO", "https")
X_FRAME_OPTIONS = "DENY"
SECURE_REFERRER_POLICY = "same-origin"
CONTENT_SECURITY_POLICY = {
    "DIRECTIVES": {
        "default-src": ["'none'"],
        # The core runs in the page too, as WebAssembly; nothing else is evaluated.
        "script-src": [SELF, "'wasm-unsafe-eval'"],
        "worker-src": [SELF],
        # Some Radix parts insert a <style>; they are given the nonce. See web/src/app/nonce.ts.
        "style-src": [SELF, NONCE],
        "font-src": [SELF],
        "img-src": [SELF, "data:"],
        "connect-src": [SELF],
        "manifest-src": [SELF],
        "base-uri": ["'none'"],
        "form-action": [SELF],
        "frame-ancestors": ["'none'"],
    }
}

LARGEST_BODY = 1_000_000
"""Bytes in one request: a run of a thousand lines is a tenth of it."""
LARGEST_ARCHIVE = 76_000_000
"""Bytes of a job's file: more than all the runs, boxes, walls and benders that there may be (1,000
of 24,000 bytes, 1,000 of 6,000, 200 of 60,000, 200 of 64,000, 20 of 90,000 with
900,000 of a picture) even if nothing of them could be packed."""
LARGEST_PICTURE = 12_000_000
"""Bytes of a picture to lie under a plan."""
_GAUGE_HOST, _, _GAUGE_PORT = _OPERATING.gauge.partition(":")
GAUGE = (_GAUGE_HOST, int(_GAUGE_PORT))
"""Where a gauge at the bender speaks, if there is one."""

MAIL = _OPERATING.mail_settings
"""How letters go out; empty, where none do."""
globals().update(MAIL)

ACCESS_LOG = _OPERATING.access_log
SLOW_S = _OPERATING.slow_s
"""What takes longer is told in the log."""

REVISIONS_DAYS = _OPERATING.revisions_days
"""For which every save is kept; 0: for ever."""

WORK_S = (2.0, 20.0)
"""Processor seconds that a request may take, and one of those that are long: ``LONG_WORK``."""
LONG_WORK = ("archive", "picture", "schedule")
"""What of an address says so: a whole job's file, tables of many runs, pictures."""
MOST_AT_ONCE = 8
"""Requests of one session that a process works on at once."""
LONGEST_ANSWER = 1_000_000
"""Bytes of an answer, but for those of long work."""

DATA_UPLOAD_MAX_MEMORY_SIZE = LARGEST_ARCHIVE

STATIC_URL = "/static/"
STATIC_ROOT = WEB_DIST
WHITENOISE_ROOT = None
WHITENOISE_AUTOREFRESH = DEBUG

USE_TZ = True
TIME_ZONE = "UTC"
LANGUAGE_CODE = "en"
USE_I18N = False

TEST_RUNNER = "config.test_runner.CountingRunner"

LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    # A line an event, as JSON: what reads a log need not guess where a field ends.
    "formatters": {
        "data": {
            "()": "pythonjsonlogger.json.JsonFormatter",
            "format": "%(asctime)s %(levelname)s %(name)s %(message)s",
            "rename_fields": {"asctime": "at", "levelname": "level", "name": "of"},
        }
    },
    "handlers": {"console": {"class": "logging.StreamHandler", "formatter": "data"}},
    "root": {"handlers": ["console"], "level": "WARNING"},
    # A refusal is an answer, not an event: what went wrong on our side is what is told.
    "loggers": {
        "yarrow.access": {"level": "INFO"},
        **{
            name: {"level": "ERROR"}
            for name in ("django.request", "django.security", "axes", "waitress.queue")
        },
    },
}
