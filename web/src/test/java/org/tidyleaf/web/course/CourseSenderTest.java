package org.tidyleaf.web.course;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Sending to a course system that answers late, refuses, or is not there. */
class CourseSenderTest {

    private static final byte[] FRAMES = "ten frames of one hive".getBytes(StandardCharsets.UTF_8);

    private static final String RECEIPT = "{\"id\":\"5f0c6f7e-0d0e-4a4e-9b0a-3f5a2b1c0d9e\",\"title\":\"Frames\","
            + "\"items\":\"2 choice\",\"points\":\"2\",\"draws\":\"Brood: 1 of 2\",\"faults\":\"\"}";

    private final List<String> tokens = new ArrayList<>();
    private final List<byte[]> arrived = new ArrayList<>();
    private final List<Integer> answers = new ArrayList<>();
    private HttpServer course;

    @BeforeEach
    void start() throws IOException {
        course = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        course.createContext("/packages", exchange -> {
            tokens.add(exchange.getRequestHeaders().getFirst("Authorization"));
            arrived.add(exchange.getRequestBody().readAllBytes());
            int status = answers.remove(0);
            byte[] body = (status == 201 ? RECEIPT : "no room for <Frames>").getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(status, body.length);
            exchange.getResponseBody().write(body);
            exchange.close();
        });
        course.start();
    }

    @AfterEach
    void stop() {
        course.stop(0);
    }

    private CourseSender.Delivery sent(Integer... statuses) throws IOException {
        answers.addAll(List.of(statuses));
        SimulatedCourse simulated = mock(SimulatedCourse.class);
        when(simulated.token()).thenReturn("token-of-the-course");
        String address = "http://127.0.0.1:" + course.getAddress().getPort() + "/packages";
        return new CourseSender(simulated, address).send("Frames.zip", out -> out.write(FRAMES));
    }

    @Test
    void aCourseThatStumblesIsAskedAgainAndItsReceiptIsShown() throws IOException {
        CourseSender.Delivery delivery = sent(503, 500, 201);
        assertThat(delivery.received()).isTrue();
        assertThat(delivery.words()).contains("Frames", "2 choice", "2 points", "Brood: 1 of 2", "no faults");
        assertThat(tokens).hasSize(3).containsOnly("Bearer token-of-the-course");
        assertThat(arrived).hasSize(3).containsOnly(FRAMES);
    }

    @Test
    void aRefusalIsSaidAndNotRepeated() throws IOException {
        CourseSender.Delivery delivery = sent(400);
        assertThat(delivery.received()).isFalse();
        assertThat(delivery.words()).contains("refused", "no room for <Frames>");
        assertThat(tokens).hasSize(1);
    }

    @Test
    void aCourseThatStaysDownOrIsGoneIsSaidToBe() throws IOException {
        assertThat(sent(500, 500, 500).words()).contains("fault 500", "Nothing was lost");
        course.stop(0);
        assertThat(sent().words()).contains("can't be reached", "Nothing was lost");
    }
}
