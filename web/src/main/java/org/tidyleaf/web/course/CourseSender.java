package org.tidyleaf.web.course;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.Serializable;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Delivers packages to a course system over HTTP: with a token, a few tries, and a receipt. The address is the operator's. */
@Component
public class CourseSender {

    private static final int TRIES = 3;
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final long PAUSE_MILLISECONDS = 300;
    private static final int SERVER_FAULT = 500;
    private static final int CREATED = 201;

    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(PATIENCE).build();
    private final JsonMapper json = new JsonMapper();
    private final SimulatedCourse simulated;
    private String address;

    /** @param address where packages go; by default to the simulated course in this very program */
    CourseSender(SimulatedCourse simulated, @Value("${tidyleaf.course.address:}") String address) {
        this.simulated = simulated;
        this.address = address;
    }

    @EventListener
    void know(WebServerInitializedEvent started) {
        if (address.isBlank()) {
            address = "http://127.0.0.1:" + started.getWebServer().getPort() + "/simulated-course/packages";
        }
    }

    /** @param received whether it arrived; {@code words} say what the other side said, or why it did not */
    public record Delivery(boolean received, String words) implements Serializable {}

    /** Writes what is sent, which need not fit into the memory. */
    @FunctionalInterface
    public interface Content {
        void write(OutputStream out) throws IOException;
    }

    /** @throws IOException if the package can't be written; that it can't be delivered is said in the answer */
    public Delivery send(String name, Content content) throws IOException {
        Path waiting = Files.createTempFile("tidyleaf-course", ".package");
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(waiting))) {
                content.write(out);
            }
            return send(name, waiting);
        } finally {
            Files.delete(waiting);
        }
    }

    private Delivery send(String name, Path content) throws IOException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address))
                .timeout(PATIENCE)
                .header("Authorization", "Bearer " + simulated.token())
                .header("Content-Type", "application/zip")
                .header("X-File-Name", name.replaceAll("[^A-Za-z0-9._ -]", "_"))
                .POST(BodyPublishers.ofFile(content))
                .build();
        String last = "";
        for (int attempt = 1; attempt <= TRIES; attempt++) {
            try {
                HttpResponse<String> response = client.send(request, BodyHandlers.ofString());
                if (response.statusCode() < SERVER_FAULT) {
                    return delivery(response);
                }
                last = "The course system answered with fault " + response.statusCode() + ".";
                Thread.sleep(PAUSE_MILLISECONDS * attempt);
            } catch (IOException unreachable) {
                last = "The course system can't be reached.";
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return new Delivery(false, "Sending was stopped.");
            }
        }
        return new Delivery(false, last + " Nothing was lost; try again later.");
    }

    private Delivery delivery(HttpResponse<String> response) {
        if (response.statusCode() != CREATED) {
            return new Delivery(false, "The course system refused it: " + response.body());
        }
        try {
            SimulatedCourse.Receipt receipt = json.readValue(response.body(), SimulatedCourse.Receipt.class);
            String faults = receipt.faults().isEmpty() ? "no faults" : "faults: " + receipt.faults();
            String draws = receipt.draws().isEmpty() ? "" : "drawn at random: " + receipt.draws() + "; ";
            return new Delivery(
                    true,
                    "Received as \u201c" + receipt.title() + "\u201d: " + receipt.items() + "; " + receipt.points()
                            + " points; " + draws + faults + ".");
        } catch (JacksonException unknown) {
            return new Delivery(true, "Received; the receipt could not be read.");
        }
    }
}
