"""Signing in, departments, members and preferences."""

from __future__ import annotations

from io import StringIO
from unittest.mock import patch

from django.contrib.auth.models import User
from django.contrib.auth.password_validation import validate_password
from django.core.cache import cache
from django.core.exceptions import ValidationError
from django.core.management import CommandError, call_command
from django.test import Client, override_settings

from .base import PASSWORD, Departments, text


class SigningIn(Departments):
    def test_the_page_is_for_the_signed_in(self):
        self.assertRedirects(Client().get("/d/lakeside"), "/accounts/login/?next=/d/lakeside")

    def test_sign_in_and_out(self):
        client = Client()
        page = client.post("/accounts/login/", {"login": "lakeside-head", "password": PASSWORD})
        self.assertEqual(page.status_code, 302)
        self.assertEqual(client.get("/api/me").status_code, 200)
        client.post("/accounts/logout/")
        got = client.get("/api/me")
        self.assertEqual((got.status_code, got.json()["code"], got["Content-Type"]), (401, "signed-out", "application/problem+json"))

    def test_a_wrong_password_says_so_and_nobody_signs_up(self):
        got = Client().post("/accounts/login/", {"login": "lakeside-head", "password": "wrong"})
        self.assertContains(got, "are not correct")
        self.assertEqual(Client().get("/accounts/signup/").status_code, 404)

    def test_every_page_carries_the_content_security_policy(self):
        for address in ("/accounts/login/", "/api/me"):
            policy = Client().get(address)["Content-Security-Policy"]
            for part in ("default-src 'self'", "script-src 'self'", "object-src 'none'", "base-uri 'none'"):
                self.assertIn(part, policy)
            self.assertNotIn("unsafe-eval", policy)

    def test_the_api_wants_its_token(self):
        client = Client(enforce_csrf_checks=True)
        client.force_login(self.head.person, backend="django.contrib.auth.backends.ModelBackend")
        self.assertEqual(client.post("/api/predict", "{}", content_type="application/json").status_code, 403)

    def test_a_session_ends_everywhere_at_once(self):
        def signed_in() -> Client:
            client = Client()
            client.post("/accounts/login/", {"login": "lakeside-head", "password": PASSWORD})
            return client

        here, elsewhere, copied = signed_in(), signed_in(), Client()
        copied.cookies["sessionid"] = here.cookies["sessionid"].value
        self.assertEqual([one.get("/api/me").status_code for one in (here, elsewhere, copied)], [200, 200, 200])
        new = "a harbour lamp at dusk"
        here.post("/accounts/password/change/", {"oldpassword": PASSWORD, "password1": new, "password2": new})
        self.assertEqual([one.get("/api/me").status_code for one in (here, elsewhere, copied)], [200, 401, 401])
        copied.cookies["sessionid"] = here.cookies["sessionid"].value
        self.assertEqual(copied.get("/api/me").status_code, 200)
        here.post("/accounts/logout/")
        self.assertEqual(copied.get("/api/me").status_code, 401)

    @override_settings(ACCOUNT_RATE_LIMITS={"login_failed": "5/5m/key"})
    def test_who_guesses_a_password_shuts_nobody_out_elsewhere(self):
        cache.clear()
        guess = {"login": "lakeside-head", "password": "guess"}
        for _ in range(5):
            Client().post("/accounts/login/", guess, REMOTE_ADDR="10.0.0.7")
        right = {"login": "lakeside-head", "password": PASSWORD}
        self.assertContains(Client().post("/accounts/login/", right, REMOTE_ADDR="10.0.0.7"), "Too many failed")
        self.assertContains(Client().post("/accounts/login/", {**right, "login": "Lakeside-Head"}, REMOTE_ADDR="10.0.0.7"), "Too many failed")
        self.assertEqual(Client().post("/accounts/login/", right, REMOTE_ADDR="10.0.0.8").status_code, 302)
        other = {"login": "quarry-head", "password": PASSWORD}
        self.assertEqual(Client().post("/accounts/login/", other, REMOTE_ADDR="10.0.0.7").status_code, 302, "another at the same address")

    def test_the_description_of_the_api_is_for_the_signed_in(self):
        self.assertRedirects(Client().get("/api/openapi.json"), "/accounts/login/?next=/api/openapi.json")
        self.assertEqual(self.as_(self.teacher).get("/api/openapi.json").status_code, 200)


class Passwords(Departments):
    def test_blanks_and_one_character_over_and_over_are_no_password(self):
        for bad in (" " * 12, "ababababababab", "a b a b a b a b"):
            with self.subTest(bad), self.assertRaisesMessage(ValidationError, "different characters"):
                validate_password(bad)
        validate_password("quiet harbour lamp")


class Requests(Departments):
    def test_nothing_of_a_person_is_kept_on_the_way_and_each_answer_has_its_number(self):
        got = self.as_(self.teacher).get("/api/me")
        self.assertEqual(got["Cache-Control"], "no-store")
        self.assertRegex(got["X-Request"], r"^[0-9a-f]{8}$")

    def test_the_log_has_a_line_a_request_and_nothing_of_what_was_typed(self):
        with self.assertLogs("anchorage.requests", "INFO") as lines:
            self.send(self.as_(self.teacher), "post", "/api/departments/lakeside/setups", {"name": "Secret wish", "document": text()})
        line = lines.output[-1]
        self.assertRegex(line, rf"POST /api/departments/lakeside/setups 200 person {self.teacher.person_id} \d+ ms$")
        self.assertNotIn("Secret", line)

    def test_what_was_not_foreseen_is_a_problem_with_its_number(self):
        client = self.as_(self.teacher)
        client.raise_request_exception = False
        with (
            patch("server.predictions.api.worked", side_effect=ZeroDivisionError("hidden")),
            self.assertLogs("anchorage.errors", "ERROR") as lines,
            self.assertLogs("anchorage.requests", "INFO") as told,
        ):
            got = self.send(client, "post", "/api/predict", {"document": text()})
        self.assertEqual((got.status_code, got["Content-Type"]), (500, "application/problem+json"))
        self.assertIn(got["X-Request"], got.json()["detail"])
        self.assertIn(got["X-Request"], lines.output[0])
        self.assertNotIn("hidden", got.content.decode())
        self.assertRegex(told.output[-1], r" 500 person - ")


class Members(Departments):
    BASE = "/api/departments/lakeside/members"

    def test_a_head_adds_a_member_who_signs_in_with_the_first_password(self):
        got = self.send(self.as_(self.head), "post", self.BASE, {"username": "newcomer", "role": "technician"}).json()
        self.assertTrue(Client().login(username="newcomer", password=got["first_password"]))
        self.assertEqual([m["username"] for m in self.as_(self.teacher).get(self.BASE).json()], ["lakeside-head", "lakeside-teacher", "newcomer"])

    def test_a_person_of_another_department_joins_with_the_password_they_have(self):
        got = self.send(self.as_(self.head), "post", self.BASE, {"username": "quarry-head", "role": "teacher"}).json()
        self.assertEqual(got["first_password"], "")
        me = self.as_(self.stranger).get("/api/me").json()
        self.assertEqual([d["slug"] for d in me["departments"]], ["lakeside", "quarry"])

    def test_a_name_that_differs_by_capitals_alone_is_refused(self):
        got = self.send(self.as_(self.head), "post", self.BASE, {"username": "Quarry-Head", "role": "teacher"})
        self.assertEqual((got.status_code, got.json()["code"], got.json()["path"]), (409, "exists", "username"))
        self.assertIn("capitals", got.json()["detail"])

    def test_the_log_tells_who_added_and_removed_whom(self):
        with self.assertLogs("anchorage.people", "INFO") as lines:
            made = self.send(self.as_(self.head), "post", self.BASE, {"username": "newcomer", "role": "teacher"}).json()
            self.as_(self.head).delete(f"{self.BASE}/{made['member']['id']}")
        added, removed = (line for line in lines.output if "person " in line and "signed" not in line)
        self.assertIn("added", added)
        self.assertIn("removed", removed)
        self.assertNotIn(made["first_password"], " ".join(lines.output))

    def test_only_heads_add_and_remove(self):
        client = self.as_(self.teacher)
        self.assertEqual(self.send(client, "post", self.BASE, {"username": "x-y", "role": "teacher"}).status_code, 403)
        self.assertEqual(client.delete(f"{self.BASE}/{self.head.pk}").status_code, 403)

    def test_who_is_there_already_a_bad_name_a_bad_role(self):
        client = self.as_(self.head)
        for body, status, path in (
            ({"username": "lakeside-teacher", "role": "teacher"}, 409, "username"),
            ({"username": "a b", "role": "teacher"}, 422, "username"),
            ({"username": "x-y", "role": "king"}, 422, "role"),
        ):
            got = self.send(client, "post", self.BASE, body)
            self.assertEqual((got.status_code, got.json()["path"]), (status, path))

    def test_a_removed_member_is_out_and_the_last_head_stays(self):
        client = self.as_(self.head)
        self.assertEqual(client.delete(f"{self.BASE}/{self.teacher.pk}").status_code, 204)
        self.assertEqual(self.as_(self.teacher).get(self.BASE).status_code, 404)
        got = client.delete(f"{self.BASE}/{self.head.pk}")
        self.assertEqual((got.status_code, got.json()["code"]), (409, "last-head"))

    def test_somebody_else_is_made_head_and_the_first_may_then_go(self):
        client, base = self.as_(self.head), "/api/departments/lakeside/members"
        self.assertEqual(self.send(client, "patch", f"{base}/{self.head.pk}", {"role": "teacher"}).json()["code"], "last-head")
        self.assertEqual(self.send(self.as_(self.teacher), "patch", f"{base}/{self.teacher.pk}", {"role": "head"}).status_code, 403)
        self.assertEqual(self.send(client, "patch", f"{base}/{self.stranger.pk}", {"role": "teacher"}).status_code, 404)
        self.assertEqual(self.send(client, "patch", f"{base}/{self.teacher.pk}", {"role": "head"}).json()["role"], "head")
        self.assertEqual(self.send(client, "patch", f"{base}/{self.head.pk}", {"role": "technician"}).json()["role"], "technician")
        self.assertEqual(client.delete(f"{base}/{self.teacher.pk}").status_code, 403, "no head any more")
        self.assertEqual(self.as_(self.teacher).delete(f"{base}/{self.head.pk}").status_code, 204)

    def test_a_member_of_another_department_cannot_be_removed_from_here(self):
        self.assertEqual(self.as_(self.head).delete(f"{self.BASE}/{self.stranger.pk}").status_code, 404)


class Preferences(Departments):
    def test_they_are_kept_per_person_and_one_by_one(self):
        client = self.as_(self.teacher)
        self.send(client, "patch", "/api/me/preferences", {"theme": "night", "units": {"length": "inch"}})
        self.send(client, "patch", "/api/me/preferences", {"units": {"speed": "km/h"}})
        self.assertEqual(
            client.get("/api/me").json()["preferences"],
            {"theme": "night", "figures": "usual", "single_keys": True, "units": {"length": "inch", "speed": "km/h"}},
        )
        self.assertEqual(self.as_(self.head).get("/api/me").json()["preferences"]["theme"], "system")
        self.assertContains(client.get("/"), 'data-theme="night"')

    def test_a_unit_of_another_kind_is_refused(self):
        for units in ({"length": "kg"}, {"length": "m**9**9"}, {"colour": "red"}):
            self.assertEqual(self.send(self.as_(self.teacher), "patch", "/api/me/preferences", {"units": units}).status_code, 422)


class CommandLine(Departments):
    def test_a_department_and_its_head(self):
        out = StringIO()
        call_command("create_department", "Upper School", stdout=out)
        password = out.getvalue().rsplit(" ", 1)[1].strip()
        self.assertTrue(Client().login(username="head-upper-school", password=password))

    def test_a_second_one_of_the_same_name_is_refused(self):
        with self.assertRaisesMessage(CommandError, "there is a department called Lakeside already"):
            call_command("create_department", "Lakeside", stdout=StringIO())

    def test_the_demo_data_load(self):
        out = StringIO()
        call_command("load_demo", stdout=out)
        self.assertEqual([line.split()[0] for line in out.getvalue().splitlines()], ["head", "teacher", "technician"])
        client = Client()
        client.force_login(User.objects.get(username="teacher"), backend="django.contrib.auth.backends.ModelBackend")
        setups = client.get("/api/departments/boathouse-field-centre/setups").json()["results"]
        runs = client.get("/api/departments/boathouse-field-centre/runs").json()["results"]
        self.assertEqual((len(setups), len(runs)), (33, 28))
        self.assertIn("failed", {run["outcome"] for run in runs})
