package org.tidyleaf.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpClient.Redirect;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.sitting.SittingService;

/** Who may see and do what, over plain HTTP; the rules are those of the OWASP application security verification standard. */
@ExtendWith(RunningApplication.class)
class SecurityTest {

    private static final String TEST =
            "Bee check\n1. Who dances?\nA. workers *\nB. drones\n2. Secret word?\nAnswer: propolis\n";

    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(Redirect.NEVER)
            .build();

    private HttpResponse<String> get(Address app, String path) throws IOException, InterruptedException {
        return client.send(HttpRequest.newBuilder(URI.create(app.url(path))).build(), BodyHandlers.ofString());
    }

    private HttpResponse<String> post(Address app, String path, String body) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create(app.url(path)))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    private String token(Address app, String page) throws IOException, InterruptedException {
        Matcher matcher = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"")
                .matcher(get(app, page).body());
        assertThat(matcher.find()).isTrue();
        return "_csrf=" + URLEncoder.encode(matcher.group(1), StandardCharsets.UTF_8);
    }

    private static UUID teacher(Address app) {
        return app.bean(AccountService.class).make("T", UUID.randomUUID() + "@wrenfield.example", "long enough, this");
    }

    private static UUID leaf(Address app, UUID owner) {
        LeafService leaves = app.bean(LeafService.class);
        UUID leaf = leaves.add(owner, "check.txt", TEST.getBytes(StandardCharsets.UTF_8));
        leaves.begin(leaf);
        leaves.read(leaf);
        return leaf;
    }

    private static String openSitting(Address app, UUID owner) {
        SittingService sittings = app.bean(SittingService.class);
        UUID sitting = sittings.publishAndOpen(owner, leaf(app, owner)).orElseThrow();
        return sittings.summary(owner, sitting).code();
    }

    @Test
    void strangersAreSentToSignIn(Address app) throws Exception {
        UUID leaf = leaf(app, teacher(app));
        for (String path : new String[] {
            "/", "/leaf/" + leaf, "/leaf/" + leaf + "/proof", "/sittings", "/leaf/" + leaf + "/figure/f1"
        }) {
            HttpResponse<String> response = get(app, path);
            assertThat(response.statusCode()).as(path).isEqualTo(302);
            assertThat(response.headers().firstValue("location").orElse("")).endsWith("/sign-in");
        }
    }

    @Test
    void pagesForbidScriptsFromElsewhereAndFraming(Address app) throws Exception {
        teacher(app);
        HttpResponse<String> response = get(app, "/sign-in");
        assertThat(response.headers().firstValue("content-security-policy").orElse(""))
                .contains("default-src 'self'")
                .contains("frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(response.headers().firstValue("x-content-type-options")).contains("nosniff");
        assertThat(response.body()).doesNotContain("<script>").doesNotContain("style=");
    }

    @Test
    void aPostWithoutItsTokenIsRefused(Address app) throws Exception {
        String code = openSitting(app, teacher(app));
        assertThat(post(app, "/s/" + code + "/begin", "candidate=x").statusCode())
                .isEqualTo(403);
    }

    @Test
    void aLeafOfAColleagueIsNotThere(Address app) throws Exception {
        UUID leaf = leaf(app, teacher(app));
        String mail = UUID.randomUUID() + "@wrenfield.example";
        app.bean(AccountService.class).make("Other", mail, "long enough, this");
        post(app, "/sign-in", token(app, "/sign-in") + "&username=" + mail + "&password=long+enough,+this");
        assertThat(get(app, "/").statusCode()).isEqualTo(200);
        for (String path : new String[] {"", "/proof", "/publish"}) {
            assertThat(get(app, "/leaf/" + leaf + path).statusCode()).isEqualTo(404);
        }
        assertThat(get(app, "/leaf/" + leaf + "/figure/f1").statusCode()).isEqualTo(404);
    }

    @Test
    void noKeyReachesACandidateBeforeHandingIn(Address app) throws Exception {
        String code = openSitting(app, teacher(app));
        post(app, "/s/" + code + "/begin", token(app, "/s/" + code) + "&candidate=Jun+Hale");
        String page = get(app, "/s/" + code).body();
        assertThat(page)
                .contains("Who dances?")
                .doesNotContain("propolis")
                .doesNotContain("keyed")
                .doesNotContain("data-key");
    }

    @Test
    void afterHandingInNothingIsTakenAnyMore(Address app) throws Exception {
        String code = openSitting(app, teacher(app));
        post(app, "/s/" + code + "/begin", token(app, "/s/" + code) + "&candidate=Jun+Hale");
        String token = token(app, "/s/" + code);
        assertThat(post(app, "/s/" + code + "/answers", token + "&chosen:q2=0").body())
                .contains("Saved");
        post(app, "/s/" + code + "/hand-in", token);
        assertThat(post(app, "/s/" + code + "/answers", token + "&chosen:q2=1").body())
                .contains("No more answers");
        assertThat(get(app, "/s/" + code).body()).contains("1 of 2 points");
    }

    private static HttpClient stranger() {
        return HttpClient.newBuilder().followRedirects(Redirect.NEVER).build();
    }

    private static HttpResponse<String> get(HttpClient client, Address app, String path, String cookie)
            throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create(app.url(path)))
                        .header("Cookie", cookie)
                        .build(),
                BodyHandlers.ofString());
    }

    private static String scriptCookie(CookieManager cookies) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("script"))
                .map(cookie -> "script=" + cookie.getValue())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aScriptIsReachedByItsOwnCookieOnly(Address app) throws Exception {
        String code = openSitting(app, teacher(app));
        String other = openSitting(app, teacher(app));
        // A name of two words: a single short one may stand in the random token of a form by chance.
        post(app, "/s/" + code + "/begin", token(app, "/s/" + code) + "&candidate=Jun+Hale");
        post(app, "/s/" + code + "/answers", token(app, "/s/" + code) + "&entered:q5=honeydew");
        String own = scriptCookie((CookieManager) client.cookieHandler().orElseThrow());
        assertThat(get(stranger(), app, "/s/" + code, own).body()).contains("Who dances?", "Jun Hale");
        for (String cookie : new String[] {"a=b", "script=" + UUID.randomUUID(), own.substring(0, own.length() - 1)}) {
            assertThat(get(stranger(), app, "/s/" + code, cookie).body())
                    .as(cookie)
                    .doesNotContain("Who dances?", "Jun Hale");
        }
        assertThat(get(stranger(), app, "/s/" + other, own).body()).doesNotContain("Who dances?", "Jun Hale");
    }

    @Test
    void afterTheClosingNothingIsTakenAndNobodyBegins(Address app) throws Exception {
        UUID owner = teacher(app);
        SittingService sittings = app.bean(SittingService.class);
        UUID sitting = sittings.publishAndOpen(owner, leaf(app, owner)).orElseThrow();
        String code = sittings.summary(owner, sitting).code();
        post(app, "/s/" + code + "/begin", token(app, "/s/" + code) + "&candidate=Jun+Hale");
        String token = token(app, "/s/" + code);
        sittings.close(owner, sitting);
        assertThat(post(app, "/s/" + code + "/answers", token + "&chosen:q2=0").body())
                .contains("No more answers");
        HttpResponse<String> late = post(app, "/s/" + code + "/begin", token + "&candidate=Late");
        assertThat(late.body()).doesNotContain("Who dances?");
        assertThat(get(stranger(), app, "/s/" + code, "a=b").body()).doesNotContain("Who dances?");
    }

    @Test
    void picturesOfALeafAreShownToThoseWhoSitItOnly(Address app) throws Exception {
        UUID owner = teacher(app);
        LeafService leaves = app.bean(LeafService.class);
        String picture = "<img alt=comb src='data:image/gif;base64,R0lGODlhAQABAAAAACw='>";
        String page = "<p>1. Which comb is it? " + picture + "</p><p>A. old *</p><p>B. new</p>";
        UUID pictured = leaves.add(owner, "comb.html", page.getBytes(StandardCharsets.UTF_8));
        leaves.begin(pictured);
        leaves.read(pictured);
        SittingService sittings = app.bean(SittingService.class);
        String code = sittings.summary(
                        owner, sittings.publishAndOpen(owner, pictured).orElseThrow())
                .code();
        String other = openSitting(app, owner);
        assertThat(get(app, "/s/" + code + "/figure/f1").statusCode()).isEqualTo(404);
        post(app, "/s/" + code + "/begin", token(app, "/s/" + code) + "&candidate=Jun+Hale");
        assertThat(get(app, "/s/" + code + "/figure/f1").statusCode()).isEqualTo(200);
        assertThat(get(app, "/s/" + code + "/figure/f2").statusCode()).isEqualTo(404);
        post(app, "/s/" + other + "/begin", token(app, "/s/" + other) + "&candidate=Jun+Hale");
        assertThat(get(app, "/s/" + other + "/figure/f1").statusCode()).isEqualTo(404);
        assertThat(get(app, "/leaf/" + pictured + "/figure/f1").statusCode()).isEqualTo(302);
    }

    @Test
    void passwordsAreKeptHashed(Address app) {
        UUID id = teacher(app);
        String stored = app.bean(JdbcTemplate.class)
                .queryForObject("select password_hash from account where id = ?", String.class, id);
        assertThat(stored).startsWith("{bcrypt}").doesNotContain("long enough");
    }

    @Test
    void anUnknownLinkSaysSo(Address app) throws Exception {
        HttpResponse<String> response = get(app, "/s/nosuchx");
        assertThat(response.statusCode()).isEqualTo(404);
        assertThat(response.body()).contains("No test is open here");
    }

    /** A real course system trusts nobody without a token; neither does the simulated one. */
    @Test
    void theSimulatedCourseTakesNothingWithoutItsToken(Address app) throws IOException, InterruptedException {
        assertThat(post(app, "/simulated-course/packages", "x").statusCode()).isEqualTo(401);
        assertThat(get(app, "/simulated-course").statusCode()).isEqualTo(302);
    }
}
