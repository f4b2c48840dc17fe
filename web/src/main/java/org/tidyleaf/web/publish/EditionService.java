package org.tidyleaf.web.publish;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.ConcurrentReferenceHashMap;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.LeafService;

/** Freezes leaves. A leaf that did not change since its last edition keeps that one. */
@Service
public class EditionService {
    private final EditionRepository editions;
    private final LeafService leaves;
    private final Clock clock;

    EditionService(EditionRepository editions, LeafService leaves, Clock clock) {
        this.editions = editions;
        this.leaves = leaves;
        this.clock = clock;
    }

    /** Editions asked for lately, forgotten when memory runs short; an edition never changes. */
    private final Map<UUID, Edition> known = new ConcurrentReferenceHashMap<>();

    /** Publishes the leaf as it stands; empty while something blocks it. */
    @Transactional
    public Optional<Edition> publish(UUID owner, UUID leaf) {
        Tidied tidied = leaves.open(owner, leaf).tidied();
        if (!tidied.blocking().isEmpty() || tidied.quiz().questions().isEmpty()) {
            return Optional.empty();
        }
        String quiz = StoredJson.write(tidied.quiz());
        String digest = digest(quiz);
        Optional<EditionEntity> last = latest(leaf);
        EditionEntity edition = last.filter(e -> e.digest.equals(digest))
                .orElseGet(() -> editions.save(
                        new EditionEntity(leaf, last.map(e -> e.number).orElse(0) + 1, quiz, digest, clock.instant())));
        return Optional.of(edition(edition));
    }

    /** The number of the leaf's last edition, 0 where there is none. */
    @Transactional(readOnly = true)
    public int lastNumber(UUID leaf) {
        return latest(leaf).map(e -> e.number).orElse(0);
    }

    @Transactional(readOnly = true)
    public Edition get(UUID id) {
        return known.computeIfAbsent(
                id, wanted -> edition(editions.findById(wanted).orElseThrow()));
    }

    private Optional<EditionEntity> latest(UUID leaf) {
        return editions.findFirstByLeafIdOrderByNumberDesc(leaf);
    }

    private static Edition edition(EditionEntity e) {
        return new Edition(e.id, e.leafId, e.number, StoredJson.read(e.quiz, Quiz.class), e.publishedAt);
    }

    private static String digest(String text) {
        try {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            return HexFormat.of().formatHex(sha.digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java has SHA-256", impossible);
        }
    }
}
