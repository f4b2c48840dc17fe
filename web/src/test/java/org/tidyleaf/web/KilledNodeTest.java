package org.tidyleaf.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.tidyleaf.web.RunningApplication.Address;
import org.tidyleaf.web.account.AccountService;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.sitting.SittingService;

/**
 * An application of its own, on the same database, is killed while a class answers, as a power cut would: what it said was
 * saved is there for the one that goes on, and nobody hands in twice.
 */
@ExtendWith(RunningApplication.class)
class KilledNodeTest {

    private static final int CLASS = 12;
    private static final int QUESTIONS = 10;
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    private static final Pattern FIELD =
            Pattern.compile("<input type=\"radio\"[^>]*name=\"(chosen:[^\"]+)\"[^>]*value=\"(\\d+)\"([^>]*)>");

    @TempDir
    private Path folder;

    @Test
    void whatWasSavedBeforeAKillIsThereAfterIt(Address app) throws Exception {
        String code = openSitting(app);
        int port = freePort();
        Process node = start(port);
        Map<String, Map<String, String>> saved = new ConcurrentHashMap<>();
        List<Candidate> candidates = new ArrayList<>();
        ExecutorService pool = Executors.newFixedThreadPool(CLASS);
        try {
            awaitListening(port);
            for (int i = 0; i < CLASS; i++) {
                Candidate candidate = new Candidate("Candidate " + i, code);
                candidates.add(candidate);
                candidate.begin("http://127.0.0.1:" + port);
                pool.submit(() -> candidate.answerUntilGone(saved));
            }
            // In the middle: everybody has answered something, nobody all of it.
            while (saved.size() < CLASS || saved.values().stream().anyMatch(answers -> answers.size() < 3)) {
                Thread.sleep(20);
            }
            node.destroyForcibly().waitFor(20, TimeUnit.SECONDS);
            pool.shutdown();
            assertThat(pool.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
        } finally {
            node.destroyForcibly();
            pool.shutdownNow();
        }
        for (Candidate candidate : candidates) {
            candidate.turnTo(app.url(""));
            assertThat(candidate.shown())
                    .as(candidate.name)
                    .containsAllEntriesOf(candidate.expected(saved.get(candidate.name)));
            candidate.handIn();
            candidate.handIn();
        }
        JdbcTemplate database = app.bean(JdbcTemplate.class);
        assertThat(database.queryForObject(
                        "select count(*) from script s join sitting t on t.id = s.sitting_id where t.code = ? and s.handed_in_at is not null",
                        Integer.class,
                        code))
                .isEqualTo(CLASS);
    }

    private static String openSitting(Address app) {
        UUID owner = app.bean(AccountService.class).make("K", "kill@wrenfield.example", "keeping-bees");
        LeafService leaves = app.bean(LeafService.class);
        UUID leaf = leaves.add(owner, "cuts.txt", test().getBytes(StandardCharsets.UTF_8));
        leaves.begin(leaf);
        leaves.read(leaf);
        SittingService sittings = app.bean(SittingService.class);
        UUID sitting = sittings.publishAndOpen(owner, leaf).orElseThrow();
        return sittings.summary(owner, sitting).code();
    }

    private static String test() {
        StringBuilder test = new StringBuilder("Measuring under power cuts\n");
        for (int i = 1; i <= QUESTIONS; i++) {
            test.append(i).append(". How long is rod ").append(i).append("?\n");
            test.append("A. ")
                    .append(i)
                    .append(" cm *\nB. ")
                    .append(i + 20)
                    .append(" cm\nC. ")
                    .append(i + 40)
                    .append(" cm\n");
        }
        return test.toString();
    }

    private Process start(int port) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Application.class.getName(),
                        "--server.port=" + port,
                        "--spring.datasource.url=" + System.getenv("TIDYLEAF_TEST_DATABASE"),
                        "--spring.datasource.username=tidyleaf",
                        "--spring.datasource.password=" + System.getenv("TIDYLEAF_TEST_PASSWORD"),
                        "--logging.level.root=warn")
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("node.log").toFile())
                .start();
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static void awaitListening(int port) throws InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/sign-in"))
                .build();
        for (int second = 0; second < 120; second++) {
            try {
                client.send(request, HttpResponse.BodyHandlers.discarding());
                return;
            } catch (IOException starting) {
                // Nobody listens while it starts.
                Thread.sleep(500);
            }
        }
        throw new IllegalStateException("the second application did not start");
    }

    /** One browser with its cookies, which it keeps when it turns to another address. */
    private static final class Candidate {
        private final HttpClient client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .connectTimeout(Duration.ofSeconds(5))
                .build();
        private final String name;
        private final String code;
        private String base = "";
        private String page = "";
        private volatile Map.Entry<String, String> sent = Map.entry("", "");

        Candidate(String name, String code) {
            this.name = name;
            this.code = code;
        }

        void begin(String address) throws IOException, InterruptedException {
            base = address;
            page = get();
            page = post("/begin", Map.of("candidate", name, "word", ""));
        }

        void turnTo(String address) throws IOException, InterruptedException {
            base = address;
            page = get();
        }

        /** Saves a choice for each question in turn; keeps those that were said to be saved. */
        void answerUntilGone(Map<String, Map<String, String>> saved) {
            Map<String, String> chosen = new LinkedHashMap<>();
            Matcher field = FIELD.matcher(page);
            try {
                while (field.find()) {
                    chosen.put(field.group(1), field.group(2));
                    sent = Map.entry(field.group(1), field.group(2));
                    if (post("/answers", chosen).contains("Saved")) {
                        saved.computeIfAbsent(name, who -> new ConcurrentHashMap<>())
                                .put(field.group(1), field.group(2));
                    }
                    Thread.sleep(60);
                }
            } catch (IOException gone) {
                // The power is off: what was not said to be saved need not be there.
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }

        /**
         * What must be there: what was said to be saved, but where the last choice went off without a reply and is there all
         * the same, that choice, for it is the later one.
         */
        Map<String, String> expected(Map<String, String> saved) {
            Map<String, String> there = new LinkedHashMap<>(saved);
            there.computeIfPresent(
                    sent.getKey(),
                    (field, value) -> sent.getValue().equals(shown().get(field)) ? sent.getValue() : value);
            return there;
        }

        Map<String, String> shown() {
            Map<String, String> shown = new LinkedHashMap<>();
            FIELD.matcher(page)
                    .results()
                    .filter(field -> field.group(3).contains("checked"))
                    .forEach(field -> shown.put(field.group(1), field.group(2)));
            return shown;
        }

        void handIn() throws IOException, InterruptedException {
            post("/hand-in", Map.of());
        }

        private String get() throws IOException, InterruptedException {
            return send(HttpRequest.newBuilder(URI.create(base + "/s/" + code)).GET());
        }

        private String post(String path, Map<String, String> fields) throws IOException, InterruptedException {
            Matcher token = TOKEN.matcher(page);
            StringBuilder body = new StringBuilder("_csrf=").append(token.find() ? encoded(token.group(1)) : "");
            fields.forEach((key, value) ->
                    body.append('&').append(encoded(key)).append('=').append(encoded(value)));
            return send(HttpRequest.newBuilder(URI.create(base + "/s/" + code + path))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString(body.toString())));
        }

        private String send(HttpRequest.Builder request) throws IOException, InterruptedException {
            return client.send(request.timeout(Duration.ofSeconds(10)).build(), HttpResponse.BodyHandlers.ofString())
                    .body();
        }

        private static String encoded(String text) {
            return URLEncoder.encode(text, StandardCharsets.UTF_8);
        }
    }
}
