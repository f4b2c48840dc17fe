package org.tidyleaf.web.sitting;

import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.page.Responses;
import org.tidyleaf.web.publish.Edition;
import org.tidyleaf.web.publish.EditionService;

/**
 * Sittings and their scripts. A candidate is known by a secret in a cookie, of which only the hash is kept; answers are
 * only ever added, so whatever was shown as saved stays.
 */
@Service
public class SittingService {

    /** Without letters and digits that are read for one another. */
    private static final String CODE_SIGNS = "abcdefghjkmnpqrstuvwxyz23456789";

    private static final int CODE_LENGTH = 7;
    private static final int TOKEN_BYTES = 24;
    private static final int LONGEST_NAME = 120;

    private final SittingRepository sittings;
    private final ScriptRepository scripts;
    private final AnswerRepository answers;
    private final HandMarkRepository handMarks;
    private final EditionService editions;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    SittingService(
            SittingRepository sittings,
            ScriptRepository scripts,
            AnswerRepository answers,
            HandMarkRepository handMarks,
            EditionService editions,
            Clock clock) {
        this.sittings = sittings;
        this.scripts = scripts;
        this.answers = answers;
        this.handMarks = handMarks;
        this.editions = editions;
        this.clock = clock;
    }

    /** Publishes the leaf and opens a sitting of that edition; empty while something blocks it. */
    @Transactional
    public Optional<UUID> publishAndOpen(UUID owner, UUID leaf) {
        return editions.publish(owner, leaf)
                .map(edition -> sittings.save(new SittingEntity(edition.id(), owner, code(), clock.instant())).id);
    }

    private String code() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) {
            code.append(CODE_SIGNS.charAt(random.nextInt(CODE_SIGNS.length())));
        }
        return code.toString();
    }

    @Transactional(readOnly = true)
    public List<SittingSummary> list(UUID owner) {
        return sittings.findByOwnerIdOrderByOpenedAtDesc(owner).stream()
                .map(this::summary)
                .toList();
    }

    private SittingSummary summary(SittingEntity sitting) {
        Edition edition = editions.get(sitting.editionId);
        ResultTable table = table(sitting, edition.quiz());
        int handedIn =
                (int) table.rows().stream().filter(ResultTable.Row::handedIn).count();
        String mean = table.mean().isEmpty() ? "" : table.mean() + " of " + table.mostInAll();
        return new SittingSummary(
                sitting.id,
                edition.quiz().title(),
                edition.number(),
                sitting.code,
                sitting.closedAt == null,
                table.rows().size(),
                handedIn,
                mean,
                table.toMark());
    }

    @Transactional(readOnly = true)
    public SittingSummary summary(UUID owner, UUID id) {
        return summary(own(owner, id));
    }

    @Transactional(readOnly = true)
    ResultTable results(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        return table(sitting, editions.get(sitting.editionId).quiz());
    }

    private SittingEntity own(UUID owner, UUID id) {
        return sittings.findByIdAndOwnerId(id, owner).orElseThrow(() -> new NoSuchSittingException(id.toString()));
    }

    private ResultTable table(SittingEntity sitting, Quiz quiz) {
        return ResultTable.of(quiz, answers(sitting));
    }

    private List<ResultTable.Answers> answers(SittingEntity sitting) {
        Map<UUID, Map<String, HandMark>> given = new HashMap<>();
        for (HandMarkEntity mark : handMarks.ofSitting(sitting.id)) {
            given.computeIfAbsent(mark.scriptId, id -> new HashMap<>()).put(mark.questionId, mark.mark());
        }
        Map<UUID, Map<String, Response>> latest = new HashMap<>();
        for (AnswerEntity answer : answers.ofSitting(sitting.id)) {
            latest.computeIfAbsent(answer.scriptId, id -> new HashMap<>()).put(answer.questionId, response(answer));
        }
        List<ResultTable.Answers> all = new ArrayList<>();
        for (ScriptEntity script : scripts.findBySittingIdOrderByBegunAt(sitting.id)) {
            Responses responses = new Responses(latest.getOrDefault(script.id, Map.of()));
            boolean handedIn = script.handedInAt != null;
            Map<String, HandMark> marks = given.getOrDefault(script.id, Map.of());
            all.add(new ResultTable.Answers(script.id, script.candidate, handedIn, responses, marks));
        }
        return all;
    }

    /** A sitting with all its scripts, for a person to mark. */
    @Transactional(readOnly = true)
    Marking marking(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        Edition edition = editions.get(sitting.editionId);
        return new Marking(id, edition.leaf(), edition.quiz(), answers(sitting));
    }

    /** Gives points by hand; they stand above those worked out. Points outside of what can be earned are brought inside. */
    @Transactional
    void give(UUID owner, UUID id, UUID script, String question, HandMark mark) {
        SittingEntity sitting = own(owner, id);
        boolean known = scripts.findById(script)
                .filter(found -> found.sittingId.equals(sitting.id))
                .isPresent();
        Optional<Question> asked = editions.get(sitting.editionId).quiz().questions().stream()
                .filter(one -> one.id().equals(question))
                .findFirst();
        if (!known || asked.isEmpty()) {
            throw new NoSuchSittingException(id.toString());
        }
        BigDecimal points = mark.points().max(BigDecimal.ZERO).min(Marker.most(asked.get()));
        HandMark within = new HandMark(points, mark.note());
        handMarks.save(new HandMarkEntity(script, question, within, owner, clock.instant()));
    }

    /** Takes no more answers. */
    @Transactional
    public void close(UUID owner, UUID id) {
        SittingEntity sitting = own(owner, id);
        if (sitting.closedAt == null) {
            sitting.closedAt = clock.instant();
        }
    }

    /** The title of the test under a code. */
    @Transactional(readOnly = true)
    public Invitation invitation(String code) {
        SittingEntity sitting = byCode(code);
        Quiz quiz = editions.get(sitting.editionId).quiz();
        return new Invitation(quiz.title(), quiz.questions().size(), sitting.closedAt == null);
    }

    /** What a visitor sees before beginning. */
    public record Invitation(String title, int questions, boolean open) {}

    private SittingEntity byCode(String code) {
        return sittings.findByCode(code).orElseThrow(() -> new NoSuchSittingException(code));
    }

    /** Begins a script; gives the secret that its candidate is known by from now on. Empty where the sitting is closed. */
    @Transactional
    public Optional<String> begin(String code, String candidate) {
        SittingEntity sitting = byCode(code);
        if (sitting.closedAt != null) {
            return Optional.empty();
        }
        byte[] secret = new byte[TOKEN_BYTES];
        random.nextBytes(secret);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        String name = candidate.strip().substring(0, Math.min(candidate.strip().length(), LONGEST_NAME));
        scripts.save(new ScriptEntity(sitting.id, name, hash(token), clock.instant()));
        return Optional.of(token);
    }

    /** The script that belongs to the secret. */
    @Transactional(readOnly = true)
    Optional<Script> script(String code, String token) {
        SittingEntity sitting = byCode(code);
        return scripts.findByTokenHashAndSittingId(hash(token), sitting.id).map(entity -> script(entity, sitting));
    }

    private Script script(ScriptEntity entity, SittingEntity sitting) {
        Edition edition = editions.get(sitting.editionId);
        Map<String, Response> latest = new HashMap<>();
        answers.findByScriptIdOrderById(entity.id).forEach(answer -> latest.put(answer.questionId, response(answer)));
        Map<String, HandMark> marks = new HashMap<>();
        handMarks.findByScriptIdOrderById(entity.id).forEach(mark -> marks.put(mark.questionId, mark.mark()));
        boolean handedIn = entity.handedInAt != null;
        boolean open = sitting.closedAt == null && !handedIn;
        return new Script(
                entity.id,
                entity.candidate,
                edition.leaf(),
                edition.quiz(),
                new Responses(latest),
                marks,
                handedIn,
                open);
    }

    /** Keeps the answers that differ from what was kept before; false where none are taken any more. */
    @Transactional
    public boolean save(String code, String token, Responses responses) {
        SittingEntity sitting = byCode(code);
        Optional<ScriptEntity> found =
                scripts.findByTokenHashAndSittingId(hash(token), sitting.id).flatMap(script -> scripts.lock(script.id));
        if (found.isEmpty() || found.get().handedInAt != null || sitting.closedAt != null) {
            return false;
        }
        Script before = script(found.get(), sitting);
        for (Question question : before.quiz().questions()) {
            Response response = responses.of(question.id());
            if (!response.equals(before.responses().of(question.id()))) {
                answers.save(
                        new AnswerEntity(found.get().id, question.id(), StoredJson.write(response), clock.instant()));
            }
        }
        return true;
    }

    /** Hands the script in, once. */
    @Transactional
    public void handIn(String code, String token) {
        SittingEntity sitting = byCode(code);
        scripts.findByTokenHashAndSittingId(hash(token), sitting.id)
                .flatMap(script -> scripts.lock(script.id))
                .filter(script -> script.handedInAt == null)
                .ifPresent(script -> script.handedInAt = clock.instant());
    }

    private static Response response(AnswerEntity answer) {
        return StoredJson.read(answer.response, Response.class);
    }

    private static String hash(String token) {
        try {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            return HexFormat.of().formatHex(sha.digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java has SHA-256", impossible);
        }
    }
}
