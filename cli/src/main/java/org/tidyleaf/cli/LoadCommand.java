package org.tidyleaf.cli;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/**
 * A class that answers a sitting at once, on this machine only: each candidate opens the link, chooses an option of every
 * question with pauses between, as a browser sends them, and hands in twice. Where the application is away it tries again
 * until it is back. At the end every script is looked at: an answer that was said to be saved has to be there.
 */
@Command(name = "load", description = "Answers a sitting by link with many candidates at once, and times it.")
final class LoadCommand implements Callable<Integer> {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
    private static final Pattern FIELD = Pattern.compile(
            "<input type=\"radio\"[^>]*name=\"(chosen:[^\"]+)\"[^>]*value=\"(\\d+)\"[^>]*?(checked)?[^>]*>");
    private static final Pattern ASKED = Pattern.compile("name=\"asked\"[^>]*value=\"([^\"]+)\"");
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final int AWAY_SECONDS = 120;

    @Parameters(paramLabel = "LINK", description = "the sitting's link, on this machine")
    private URI link = URI.create("http://localhost:8080/");

    @Option(names = "--candidates", description = "how many, at most 500", defaultValue = "300")
    private int candidates;

    @Option(names = "--pause", description = "milliseconds between two answers on average", defaultValue = "3000")
    private int pause;

    private final List<Long> saves = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger again = new AtomicInteger();
    private final AtomicInteger lost = new AtomicInteger();
    private final AtomicInteger handedIn = new AtomicInteger();
    private final List<String> reasons = Collections.synchronizedList(new ArrayList<>());
    private final List<String> faults = Collections.synchronizedList(new ArrayList<>());

    @Override
    public Integer call() throws InterruptedException {
        if (!List.of("localhost", "127.0.0.1").contains(String.valueOf(link.getHost()))) {
            System.err.println("Only a sitting on this machine may be loaded: its link begins with http://localhost.");
            return 2;
        }
        int count = Math.min(500, Math.max(1, candidates));
        ExecutorService pool = Executors.newFixedThreadPool(count);
        for (int i = 1; i <= count; i++) {
            int number = i;
            pool.submit(() -> sit(number));
        }
        pool.shutdown();
        pool.awaitTermination(1, TimeUnit.HOURS);
        report(count);
        return faults.isEmpty() && lost.get() == 0 ? 0 : 1;
    }

    private void report(int count) {
        List<Long> sorted = saves.stream().sorted().toList();
        System.out.printf(
                "%d candidates, %d answers saved: median %d ms, 95th percentile %d ms, longest %d ms%n",
                count, sorted.size(), at(sorted, 0.5), at(sorted, 0.95), at(sorted, 1));
        System.out.printf(
                "sent again while the application was away: %d; saved answers lost: %d; handed in: %d%n",
                again.get(), lost.get(), handedIn.get());
        if (!reasons.isEmpty()) {
            System.out.println("why: " + String.join("; ", new TreeSet<>(reasons)));
        }
        faults.stream().distinct().limit(5).forEach(fault -> System.out.println("fault: " + fault));
    }

    private static long at(List<Long> sorted, double share) {
        return sorted.isEmpty() ? 0 : sorted.get((int) Math.min(sorted.size() - 1, Math.floor(share * sorted.size())));
    }

    private void sit(int number) {
        try {
            new Candidate(number).sit();
        } catch (IOException | IllegalStateException failed) {
            faults.add("candidate " + number + ": " + failed.getMessage());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** One browser: its cookies, its page. */
    private final class Candidate {
        private final HttpClient client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .connectTimeout(PATIENCE)
                .build();
        private final Random random;
        private final String name;

        Candidate(int number) {
            random = new Random(number);
            name = "Candidate " + number;
        }

        void sit() throws IOException, InterruptedException {
            String welcome = get("");
            String page = post("/begin", Map.of("candidate", name, "word", ""), token(welcome));
            Map<String, List<String>> options = new LinkedHashMap<>();
            Matcher field = FIELD.matcher(page);
            while (field.find()) {
                options.computeIfAbsent(field.group(1), key -> new ArrayList<>())
                        .add(field.group(2));
            }
            if (options.isEmpty()) {
                throw new IllegalStateException("the page has no options to choose");
            }
            Map<String, String> given = new LinkedHashMap<>();
            ASKED.matcher(page).results().forEach(asked -> given.put("asked", asked.group(1)));
            String token = token(page);
            Map<String, String> chosen = new LinkedHashMap<>();
            for (Map.Entry<String, List<String>> question : options.entrySet()) {
                Thread.sleep((long) (pause * (0.3 + 1.4 * random.nextDouble())));
                List<String> values = question.getValue();
                chosen.put(question.getKey(), values.get(random.nextInt(values.size())));
                long begun = System.nanoTime();
                int before = again.get();
                String said = post("/answers", chosen, token);
                if (before == again.get()) {
                    saves.add(TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun));
                }
                if (!said.contains("Saved")) {
                    faults.add("not saved: " + said.strip());
                }
            }
            check(chosen);
            post("/check", chosen, token);
            post("/hand-in", Map.of(), token);
            if (post("/hand-in", Map.of(), token).contains("Handed in")) {
                handedIn.incrementAndGet();
            }
        }

        /** Whether the page, loaded anew, shows every choice that was said to be saved. */
        private void check(Map<String, String> chosen) throws IOException, InterruptedException {
            String page = get("");
            TreeSet<String> shown = new TreeSet<>();
            Matcher field = FIELD.matcher(page);
            while (field.find()) {
                if (field.group().contains("checked")) {
                    shown.add(field.group(1) + "=" + field.group(2));
                }
            }
            chosen.forEach((question, value) -> {
                if (!shown.contains(question + "=" + value)) {
                    lost.incrementAndGet();
                }
            });
        }

        private String token(String page) {
            Matcher matcher = TOKEN.matcher(page);
            if (!matcher.find()) {
                throw new IllegalStateException("the page has no token");
            }
            return matcher.group(1);
        }

        private String get(String path) throws IOException, InterruptedException {
            return send(HttpRequest.newBuilder(URI.create(link + path)).GET());
        }

        private String post(String path, Map<String, String> fields, String token)
                throws IOException, InterruptedException {
            StringBuilder body = new StringBuilder("_csrf=").append(encoded(token));
            fields.forEach((field, value) ->
                    body.append('&').append(encoded(field)).append('=').append(encoded(value)));
            return send(HttpRequest.newBuilder(URI.create(link + path))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString(body.toString())));
        }

        /** Tries again while the application is away, as the page's own script does. */
        private String send(HttpRequest.Builder request) throws IOException, InterruptedException {
            for (int second = 0; second < AWAY_SECONDS; second++) {
                try {
                    HttpResponse<String> response =
                            client.send(request.timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofString());
                    if (response.statusCode() < 400) {
                        return response.body();
                    }
                    if (response.statusCode() < 500) {
                        throw new IllegalStateException("answered " + response.statusCode() + " " + response.uri());
                    }
                    reasons.add("answered " + response.statusCode());
                } catch (IOException away) {
                    // Nobody listens while it starts anew.
                    reasons.add(String.valueOf(away));
                }
                again.incrementAndGet();
                Thread.sleep(1000);
            }
            throw new IOException("the application did not come back");
        }

        private static String encoded(String text) {
            return URLEncoder.encode(text, StandardCharsets.UTF_8);
        }
    }
}
