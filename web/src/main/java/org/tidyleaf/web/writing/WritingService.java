package org.tidyleaf.web.writing;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Asks a writing service for a draft over HTTP. The address is the operator's. */
@Service
class WritingService {
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    private static final int OK = 200;

    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(PATIENCE).build();
    private final JsonMapper json = new JsonMapper();
    private final SimulatedWriter simulated;
    private String address;

    /** @param address where wishes go; by default to the simulated service in this very program */
    WritingService(SimulatedWriter simulated, @Value("${tidyleaf.writing.address:}") String address) {
        this.simulated = simulated;
        this.address = address;
    }

    @EventListener
    void know(WebServerInitializedEvent started) {
        if (address.isBlank()) {
            address = "http://127.0.0.1:" + started.getWebServer().getPort() + "/simulated-writing/drafts";
        }
    }

    /**
     * What came back.
     *
     * @param draft the text, or empty
     * @param problem why there is none, in words for the teacher, or empty
     */
    record Answer(String draft, String problem) {}

    Answer draft(Wish wish) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address))
                .timeout(PATIENCE)
                .header("Authorization", "Bearer " + simulated.token())
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(json.writeValueAsString(wish)))
                .build();
        try {
            HttpResponse<String> response = client.send(request, BodyHandlers.ofString(StandardCharsets.UTF_8));
            return response.statusCode() == OK
                    ? new Answer(response.body(), "")
                    : new Answer(
                            "", response.statusCode() < 500 ? response.body() : "The writing service has a fault.");
        } catch (IOException unreachable) {
            return new Answer("", "The writing service can't be reached. Your text is still here; try again later.");
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return new Answer("", "Drafting was stopped.");
        }
    }
}
