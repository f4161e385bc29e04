"""A browser in front of the whole application: Debian's Chromium, nothing leaves the machine, no console error passes."""

from __future__ import annotations

import atexit
import json
import os
import threading
import time
from collections.abc import Callable
from functools import cache
from pathlib import Path
from typing import Any, ClassVar, Literal

from django.contrib.staticfiles.handlers import StaticFilesHandler
from django.contrib.staticfiles.testing import StaticLiveServerTestCase
from django.http import HttpRequest
from django.http.response import HttpResponseBase
from django.test import Client, tag
from django.test.testcases import LiveServerThread
from playwright.sync_api import Browser, BrowserContext, Page, Request, ViewportSize, expect, sync_playwright

from server.people.models import Membership
from server.people.services.add_member import add_member
from server.people.services.create_department import create_department
from server.project.settings import headers_of_files
from server.setups.services.save_setup import create_setup
from tests.support.documents import bottle
from tests.support.emptied import EmptiedCase
from tests.support.wire import Wire
from tools.chromium import launched

ROOT = Path(__file__).resolve().parents[2]
AXE = ROOT / "web/node_modules/axe-core/axe.min.js"
RULES = {"type": "tag", "values": ["wcag2a", "wcag2aa", "wcag21aa", "wcag22aa"]}
COLOURS = {"type": "rule", "values": ["color-contrast"]}
"""What alone changes from day to night."""
EXPECTED = ("Failed to load resource", "net::ERR", "Service Worker registration blocked")
"""What the browser itself writes of a refused or failed request, and of a worker that a test does not let run; all else in the console fails the test."""
COUNTED = """
window.fetching = 0;
const fetched = window.fetch;
window.fetch = (...given) => {
  window.fetching += 1;
  return fetched(...given).finally(() => (window.fetching -= 1));
};
"""
"""Counts what the page fetches until each is answered, refused or given up."""
NOTHING = "/static/mark.svg"
"""Where the page waits for the next test: an empty page would be another site, and be read in another process."""
AT_THE_DESK: ViewportSize = {"width": 1280, "height": 800}
PATIENCE = 20.0
"""Seconds after which an answer that does not come fails a test instead of holding it up."""


@cache
def one_browser() -> Browser:
    """The browser of this process, started once and closed at its end."""
    driver = sync_playwright().start()
    browser: Browser = launched(driver)
    atexit.register(driver.stop)
    atexit.register(browser.close)
    return browser


class _Files(StaticFilesHandler):
    """The built files with the headers that they have in use; and how many requests are being answered."""

    lock = threading.Lock()
    under_way = 0

    def __call__(self, environ: dict[str, Any], start_response: Any) -> Any:
        with self.lock:
            _Files.under_way += 1
        try:
            return super().__call__(environ, start_response)
        finally:
            with self.lock:
                _Files.under_way -= 1

    def serve(self, request: HttpRequest) -> HttpResponseBase:
        response: HttpResponseBase = super().serve(request)
        headers_of_files(response.headers, "", request.path)
        return response


@cache
def one_server() -> LiveServerThread:
    """The server of this process, started once: at another address the browser would fetch and read every file again."""
    server = LiveServerThread("localhost", _Files)
    server.daemon = True
    server.start()
    atexit.register(server.terminate)
    server.is_ready.wait()
    if server.error:
        raise server.error
    return server


@tag("browser")
class BrowserCase(EmptiedCase, StaticLiveServerTestCase):
    """One department with a head and a teacher, and a signed-in page.

    The page itself stays from test to test, since a new one reads every script anew, which takes as long as all else; what is kept and typed begins anew.
    """

    problems: ClassVar[list[str]] = []
    open_requests: ClassVar[dict[Page, set[Request]]] = {}

    @classmethod
    def _start_server_thread(cls) -> None:
        cls.server_thread = one_server()

    @classmethod
    def setUpClass(cls) -> None:
        os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"
        super().setUpClass()
        cls.browser = one_browser()
        cls.desk = cls.one_desk()
        expect.set_options(timeout=15_000)

    def setUp(self) -> None:
        self.head = create_department("Lakeside", "head", "long-enough-to-be-one")
        self.teacher, _ = add_member(self.head, "teacher", Membership.Role.TEACHER)
        self.page, self.context = self.desk, self.desk.context
        self.sign_in(self.context, self.teacher)
        self.problems.clear()
        store = self.context.new_cdp_session(self.page)
        store.send("Storage.clearDataForOrigin", {"origin": self.live_server_url, "storageTypes": "local_storage,indexeddb,cache_storage"})
        store.detach()

    def tearDown(self) -> None:
        for page in self.context.pages:
            if page is not self.desk:
                page.close()
        self.context.set_offline(False)
        self.desk.goto(self.live_server_url + NOTHING)
        self.desk.mouse.move(0, 0)
        self.desk.set_viewport_size(AT_THE_DESK)
        self.desk.emulate_media(media="null", color_scheme="null")
        self.assertEqual(self.problems, [])

    def _fixture_teardown(self) -> None:
        time.sleep(0.02)  # a request that is answered after its page is gone would hold tables that are emptied now
        self.until(lambda: not _Files.under_way, lambda: "the server still answers", lambda: time.sleep(0.005))
        super()._fixture_teardown()

    def new_context(
        self, membership: Membership, width: int = AT_THE_DESK["width"], height: int = AT_THE_DESK["height"], through: Wire | None = None
    ) -> BrowserContext:
        """A browser of its own in which a member is signed in.

        through: a wire to the server that will be cut; what keeps lessons for when there is no network runs in such a browser alone.
        """
        context = self.opened(width, height, service_workers="allow" if through else "block")
        self.addCleanup(context.close)
        self.sign_in(context, membership)
        return context

    @classmethod
    def opened(
        cls, width: int = AT_THE_DESK["width"], height: int = AT_THE_DESK["height"], *, service_workers: Literal["allow", "block"] = "block"
    ) -> BrowserContext:
        return one_browser().new_context(
            viewport={"width": width, "height": height}, locale="en-GB", timezone_id="Europe/London", reduced_motion="reduce", service_workers=service_workers
        )

    def sign_in(self, context: BrowserContext, membership: Membership) -> None:
        """Makes a browser that of a member, whoever it was before."""
        client = Client()
        client.force_login(membership.person, backend="django.contrib.auth.backends.ModelBackend")
        context.clear_cookies()
        context.add_cookies([{"name": "sessionid", "value": client.cookies["sessionid"].value, "url": self.live_server_url}])

    @classmethod
    def new_page(cls, context: BrowserContext) -> Page:
        page = context.new_page()
        page.on("console", lambda m: cls.problems.append(m.text) if m.type in ("error", "warning") and not m.text.startswith(EXPECTED) else None)
        page.on("pageerror", lambda e: cls.problems.append(str(e)))
        open_ = cls.open_requests.setdefault(page, set())
        page.add_init_script(COUNTED)
        # what the page fetches it counts itself: the driver is never told of an answer that was given up and is not to be kept
        page.on("request", lambda r: (open_.clear() if r.is_navigation_request() else None, open_.add(r) if r.resource_type != "fetch" else None))
        page.on("requestfinished", lambda r: open_.discard(r))
        page.on("requestfailed", lambda r: open_.discard(r))
        return page

    @staticmethod
    @cache
    def one_desk() -> Page:
        """The page of this process, still when one has gone somewhere: what comes late pushes what one presses."""
        page = BrowserCase.new_page(BrowserCase.opened())
        plain = page.goto

        def goto(url: str, **how: Any) -> Any:
            answer = plain(url, **how)
            BrowserCase.quiet(page)
            return answer

        page.goto = goto  # type: ignore[method-assign]
        return page

    @classmethod
    def quiet(cls, page: Page | None = None, pause: int = 0) -> None:
        """Waits until nothing is asked of the server any more, what is asked after a pause [ms] of typing included."""
        page = page or cls.one_desk()
        two_frames = "pause => new Promise(done => setTimeout(() => requestAnimationFrame(() => requestAnimationFrame(done)), pause))"
        page.evaluate(two_frames, pause)
        cls.until(
            lambda: not cls.open_requests[page] and not page.evaluate("window.fetching ?? 0"),
            lambda: f"still asked: {[one.url for one in cls.open_requests[page]]}",
            lambda: page.evaluate(two_frames, 0),
        )
        page.evaluate("document.fonts.ready")

    @staticmethod
    def until(holds: Callable[[], bool], told: Callable[[], str], between: Callable[[], object]) -> None:
        """Looks again and again until something holds; what is told of it fails the test where it does not in time."""
        end = time.monotonic() + PATIENCE
        while not holds():
            if time.monotonic() > end:
                raise AssertionError(f"after {PATIENCE} s {told()}")
            between()

    def keep(self, name: str = "Three holes", document: dict[str, Any] | None = None) -> int:
        """Saves a set-up and gives its number."""
        return create_setup(self.teacher, name, json.dumps(document or bottle())).setup.pk

    def bench(self, setup: int | str, page: Page | None = None) -> Page:
        """Opens a set-up on the bench and waits for its drawing."""
        page = page or self.page
        page.goto(f"{self.live_server_url}/d/lakeside/bench/{setup}")
        expect(page.locator("[data-handle]").first).to_be_attached()
        return page

    def input(self, path: str, page: Page | None = None) -> Any:
        """The form's field at a path."""
        return (page or self.page).locator(f'[id="f-{path}"]')

    def pick(self, label: str, words: str, page: Page | None = None) -> None:
        """Chooses from a long list."""
        at = page or self.page
        at.get_by_role("button", name=label).or_(at.get_by_role("combobox", name=label)).click()
        at.get_by_role("option", name=words, exact=True).click()

    def verdict(self, page: Page | None = None) -> Any:
        return (page or self.page).locator(".verdict")

    def drag(self, path: str, dx: float, dy: float, steps: int = 8) -> None:
        """Drags a handle's ring by so many pixels."""
        ring = self.page.locator(f'[data-handle="{path}"]').bounding_box()
        assert ring
        x, y = ring["x"] + ring["width"] / 2, ring["y"] + ring["height"] / 2
        self.page.mouse.move(x, y)
        self.page.mouse.down()
        self.page.mouse.move(x + dx, y + dy, steps=steps)
        self.page.mouse.up()

    def faults(self, page: Page | None = None, rules: dict[str, Any] | None = None) -> list[Any]:
        """What axe finds against WCAG 2.2 AA; given to the page as source, since the policy admits no foreign script."""
        page = page or self.page
        if not page.evaluate("'axe' in window"):
            page.evaluate(AXE.read_text("utf-8"))
        found = page.evaluate("how => axe.run(document, how)", {"runOnly": rules or RULES, "resultTypes": ["violations"]})
        return [(one["id"], [node["target"] for node in one["nodes"]][:4]) for one in found["violations"]]
