package org.tidyleaf.web.course;

import java.io.IOException;
import java.security.MessageDigest;
import java.time.Clock;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The receiver: knows its token, keeps what a package was found to hold. */
@Service
public class SimulatedCourse {

    private static final int TOKEN_BYTES = 24;

    private final ReceivedRepository received;
    private final Clock clock;
    private final String token;

    SimulatedCourse(ReceivedRepository received, Clock clock, @Value("${tidyleaf.course.token:}") String token) {
        this.received = received;
        this.clock = clock;
        this.token = token.isBlank() ? random() : token;
    }

    private static String random() {
        byte[] bytes = new byte[TOKEN_BYTES];
        new java.security.SecureRandom().nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** What a real one would give out to the programs it trusts. */
    String token() {
        return token;
    }

    boolean knows(String offered) {
        return MessageDigest.isEqual(
                token.getBytes(java.nio.charset.StandardCharsets.UTF_8),
                offered.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    /** What it says to the sender. */
    public record Receipt(UUID id, String title, String items, String points, String draws, String faults) {}

    /** A package as the course lists it. */
    public record Listed(
            String title,
            String name,
            String standard,
            String items,
            String points,
            int pictures,
            String draws,
            String faults,
            int size) {}

    /** @throws IOException if it is no package; the words say why */
    @Transactional
    Receipt take(String name, byte[] bytes) throws IOException {
        ReceivedEntity kept =
                received.save(new ReceivedEntity(name, PackageLook.of(bytes), bytes.length, clock.instant()));
        return new Receipt(kept.id, kept.title, kept.items, kept.points, kept.draws, kept.faults);
    }

    @Transactional(readOnly = true)
    List<Listed> list() {
        return received.findTop50ByOrderByReceivedAtDesc().stream()
                .map(one -> new Listed(
                        one.title,
                        one.name,
                        one.standard,
                        one.items,
                        one.points,
                        one.pictures,
                        one.draws,
                        one.faults,
                        one.size))
                .toList();
    }
}
