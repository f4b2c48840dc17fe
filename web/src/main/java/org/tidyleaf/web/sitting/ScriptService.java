package org.tidyleaf.web.sitting;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.shuffling.Shuffling;
import org.tidyleaf.web.page.Responses;
import org.tidyleaf.web.publish.Edition;
import org.tidyleaf.web.publish.EditionService;

/**
 * Scripts as their candidates write them. A candidate is known by a secret in a cookie, of which only the hash is kept;
 * answers are only ever added, so whatever was shown as saved stays.
 */
@Service
public class ScriptService {

    private static final int TOKEN_BYTES = 24;
    private static final int LONGEST_NAME = 120;

    private final SittingRepository sittings;
    private final ScriptRepository scripts;
    private final AnswerRepository answers;
    private final HandMarkRepository handMarks;
    private final CandidateRepository candidates;
    private final ScriptEventRepository events;
    private final MarkedEdition keys;
    private final EditionService editions;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    ScriptService(
            SittingRepository sittings,
            ScriptRepository scripts,
            AnswerRepository answers,
            HandMarkRepository handMarks,
            CandidateRepository candidates,
            ScriptEventRepository events,
            MarkedEdition keys,
            EditionService editions,
            Clock clock) {
        this.sittings = sittings;
        this.scripts = scripts;
        this.answers = answers;
        this.handMarks = handMarks;
        this.candidates = candidates;
        this.events = events;
        this.keys = keys;
        this.editions = editions;
        this.clock = clock;
    }

    /**
     * What a visitor sees before beginning.
     *
     * @param listed whether the sitting is for people on a list, who begin with a code of their own
     * @param open whether it can be begun now
     * @param early whether it will open later
     */
    public record Invitation(String title, int questions, Rules rules, boolean listed, boolean open, boolean early) {}

    @Transactional(readOnly = true)
    public Invitation invitation(String code) {
        SittingEntity sitting = byCode(code);
        Quiz quiz = editions.get(sitting.editionId).quiz();
        Rules rules = sitting.rules();
        boolean early = isEarly(rules);
        boolean open = !early && !sitting.isClosed(clock.instant());
        boolean listed = candidates.existsBySittingId(sitting.id);
        return new Invitation(quiz.title(), quiz.questions().size(), rules, listed, open, early);
    }

    private boolean isEarly(Rules rules) {
        return rules.opens().filter(opens -> clock.instant().isBefore(opens)).isPresent();
    }

    private SittingEntity byCode(String code) {
        return sittings.findByCode(code).orElseThrow(() -> new NoSuchSittingException(code));
    }

    /**
     * The outcome of beginning: the secret that the candidate is known by from now on, or why it can't be, in words for the
     * candidate.
     */
    public record Begun(Optional<String> token, String refused) {
        static Begun refused(String why) {
            return new Begun(Optional.empty(), why);
        }
    }

    /** Begins a script where everybody may sit who has the link; empty where the sitting is closed. */
    @Transactional
    public Optional<String> begin(String code, String candidate) {
        return begin(code, candidate, "").token();
    }

    /**
     * Begins a script, or goes on with the one begun before by somebody on the list.
     *
     * @param who the name, or the personal code where the sitting is for a list
     * @param word the entry word, where there is one
     */
    @Transactional
    public Begun begin(String code, String who, String word) {
        SittingEntity sitting = byCode(code);
        Rules rules = sitting.rules();
        if (isEarly(rules) || sitting.isClosed(clock.instant())) {
            return Begun.refused("This test can't be begun now.");
        }
        boolean knows = rules.word().isEmpty()
                || rules.word().toLowerCase(Locale.ROOT).equals(word.strip().toLowerCase(Locale.ROOT));
        if (!knows) {
            return Begun.refused("That is not the entry word. Ask your teacher for it.");
        }
        return candidates.existsBySittingId(sitting.id) ? listed(sitting, who) : anybody(sitting, who);
    }

    private Begun anybody(SittingEntity sitting, String candidate) {
        String name = candidate.strip().substring(0, Math.min(candidate.strip().length(), LONGEST_NAME));
        if (name.isEmpty()) {
            return Begun.refused("Write your name, so that your answers can be told from others'.");
        }
        String token = secret();
        scripts.save(new ScriptEntity(sitting.id, name, hash(token), clock.instant()));
        return new Begun(Optional.of(token), "");
    }

    /** Whoever has a script that is not handed in goes on with it, on whatever device. */
    private Begun listed(SittingEntity sitting, String typed) {
        Optional<CandidateEntity> person =
                candidates.findBySittingIdAndCode(sitting.id, typed.strip().toLowerCase(Locale.ROOT));
        if (person.isEmpty()) {
            return Begun.refused("That code is not on the list. Look at it again, letter by letter.");
        }
        List<ScriptEntity> before = scripts.findByPersonIdOrderByBegunAt(person.get().id);
        Optional<ScriptEntity> last = before.isEmpty() ? Optional.empty() : Optional.of(before.get(before.size() - 1));
        String token = secret();
        boolean goesOn = last.filter(script -> script.handedInAt == null).isPresent();
        if (goesOn || before.size() >= sitting.rules().attempts()) {
            // Whoever has no further try comes back to what they handed in.
            last.ifPresent(script -> script.tokenHash = hash(token));
        } else {
            scripts.save(new ScriptEntity(sitting.id, person.get().name, hash(token), clock.instant())
                    .ofCandidate(person.get().id));
        }
        return new Begun(Optional.of(token), "");
    }

    /** A further try, where the rules allow one; empty where they do not. */
    @Transactional
    public Optional<String> again(String code, String token) {
        SittingEntity sitting = byCode(code);
        Optional<ScriptEntity> before = byToken(sitting, token);
        boolean may = before.filter(script -> script.handedInAt != null)
                        .filter(script -> againLeft(sitting, script) > 0)
                        .isPresent()
                && !sitting.isClosed(clock.instant());
        if (!may) {
            return Optional.empty();
        }
        String next = secret();
        scripts.save(
                new ScriptEntity(sitting.id, before.get().candidate, hash(next), clock.instant()).after(before.get()));
        return Optional.of(next);
    }

    private int againLeft(SittingEntity sitting, ScriptEntity script) {
        return (int) Math.max(0, sitting.rules().attempts() - scripts.countByPersonId(script.personId));
    }

    private String secret() {
        byte[] secret = new byte[TOKEN_BYTES];
        random.nextBytes(secret);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
    }

    private Optional<ScriptEntity> byToken(SittingEntity sitting, String token) {
        return scripts.findByTokenHashAndSittingId(hash(token), sitting.id);
    }

    /** The script that belongs to the secret. */
    @Transactional(readOnly = true)
    Optional<Script> script(String code, String token) {
        SittingEntity sitting = byCode(code);
        return byToken(sitting, token).map(entity -> script(entity, sitting));
    }

    private Script script(ScriptEntity entity, SittingEntity sitting) {
        Edition edition = editions.get(sitting.editionId);
        Rules rules = sitting.rules();
        Map<String, Response> latest = new HashMap<>();
        answers.findByScriptIdOrderById(entity.id).forEach(answer -> latest.put(answer.questionId, response(answer)));
        Map<String, HandMark> marks = new HashMap<>();
        handMarks.findByScriptIdOrderById(entity.id).forEach(mark -> marks.put(mark.questionId, mark.mark()));
        Optional<Instant> deadline = deadline(entity, rules);
        Script.State state = state(entity, sitting, deadline);
        long seed = entity.id.getMostSignificantBits();
        Quiz sat = keys.quiz(sitting.id, edition.quiz());
        Quiz quiz = rules.shuffleQuestions() ? Shuffling.ordered(sat, seed) : sat;
        return new Script(
                entity.id,
                entity.candidate,
                edition.leaf(),
                quiz,
                rules,
                new Responses(latest),
                marks,
                deadline,
                state,
                entity.furthest,
                Set.of(entity.flags.split(",")),
                shows(rules.marks(), sitting),
                shows(rules.answers(), sitting),
                againLeft(sitting, entity));
    }

    private Optional<Instant> deadline(ScriptEntity script, Rules rules) {
        int extra = Optional.ofNullable(script.candidateId)
                .flatMap(candidates::findById)
                .map(person -> person.extraMinutes)
                .orElse(0);
        return Deadline.of(rules, script.begunAt, extra, events.findByScriptIdOrderById(script.id));
    }

    private Script.State state(ScriptEntity script, SittingEntity sitting, Optional<Instant> deadline) {
        Instant now = clock.instant();
        if (script.handedInAt != null) {
            return Script.State.HANDED_IN;
        }
        if (sitting.closedAt != null) {
            return Script.State.CLOSED;
        }
        boolean over =
                deadline.filter(time -> now.isAfter(time.plus(Deadline.GRACE))).isPresent();
        return over ? Script.State.TIME_UP : Script.State.OPEN;
    }

    private boolean shows(Rules.Show when, SittingEntity sitting) {
        return switch (when) {
            case AT_ONCE -> true;
            case AFTER_CLOSING -> sitting.isClosed(clock.instant());
            case ON_RELEASE -> sitting.releasedAt != null;
            case NEVER -> false;
        };
    }

    /** Keeps the answers that differ from what was kept before; false where none are taken any more. */
    @Transactional
    public boolean save(String code, String token, Responses responses) {
        return save(code, token, new Page(quiz -> responses, Set.of(), Set.of()), 0);
    }

    /**
     * What a candidate's page holds.
     *
     * @param responses what was answered, once the questions are known
     * @param asked the ids of the questions on it, empty for all
     * @param flagged of these, the ones to come back to
     */
    record Page(Function<Quiz, Responses> responses, Set<String> asked, Set<String> flagged) {
        boolean holds(String question) {
            return asked.isEmpty() || asked.contains(question);
        }
    }

    /**
     * @param furthest the 0-based place of the question that is shown next
     */
    @Transactional
    boolean save(String code, String token, Page page, int furthest) {
        SittingEntity sitting = byCode(code);
        Optional<ScriptEntity> found = byToken(sitting, token).flatMap(script -> scripts.lock(script.id));
        if (found.isEmpty()) {
            return false;
        }
        Script before = script(found.get(), sitting);
        if (!before.open()) {
            return false;
        }
        Responses responses = page.responses().apply(before.quiz());
        boolean stays = before.rules().oneByOne() && !before.rules().back();
        for (int place = 0; place < before.quiz().questions().size(); place++) {
            Question question = before.quiz().questions().get(place);
            boolean passed = stays && place < found.get().furthest;
            Response response = responses.of(question.id());
            if (page.holds(question.id())
                    && !passed
                    && !response.equals(before.responses().of(question.id()))) {
                answers.save(
                        new AnswerEntity(found.get().id, question.id(), StoredJson.write(response), clock.instant()));
            }
        }
        int last = before.quiz().questions().size() - 1;
        found.get().furthest = Math.max(found.get().furthest, Math.min(furthest, last));
        found.get().flags = before.quiz().questions().stream()
                .map(Question::id)
                .filter(id -> page.holds(id)
                        ? page.flagged().contains(id)
                        : before.flags().contains(id))
                .collect(Collectors.joining(","));
        return true;
    }

    /** Hands the script in, once. */
    @Transactional
    public void handIn(String code, String token) {
        SittingEntity sitting = byCode(code);
        byToken(sitting, token)
                .flatMap(script -> scripts.lock(script.id))
                .filter(script -> script.handedInAt == null)
                .filter(script -> isComplete(script(script, sitting)))
                .ifPresent(script -> script.handedInAt = clock.instant());
    }

    /** Whether what must be answered is; when time is over it no longer matters. */
    private static boolean isComplete(Script script) {
        return !script.open()
                || script.quiz().questions().stream()
                        .filter(question -> question.particulars().settings().required())
                        .noneMatch(
                                question -> script.responses().of(question.id()).isEmpty());
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
