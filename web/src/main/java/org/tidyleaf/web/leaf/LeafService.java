package org.tidyleaf.web.leaf;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.ConcurrentReferenceHashMap;
import org.tidyleaf.exchange.Imported;
import org.tidyleaf.exchange.PlainTest;
import org.tidyleaf.exchange.QtiReader;
import org.tidyleaf.exchange.StoredJson;
import org.tidyleaf.exchange.TestJson;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.pdf.PdfPages;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.Role;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Source;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.Decisions;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.tidying.Tidying;

/**
 * Leaves in storage. A leaf's quiz is never stored: it is worked out anew from the source and the decisions, so that it
 * can't come to differ from them.
 */
@Service
public class LeafService {
    private final LeafRepository leaves;
    private final DecisionRepository decisions;
    private final FigureRepository figures;
    private final SourceFileRepository files;
    private final LeafShareRepository shares;
    private final Intake intake;
    private final Clock clock;

    /**
     * Leaves worked out lately, forgotten when memory runs short. Source and decisions only ever grow, so what was worked
     * out for a number of decisions stays true; another node that added some is seen by their number.
     */
    private final Map<UUID, OpenLeaf> opened = new ConcurrentReferenceHashMap<>();

    LeafService(
            LeafRepository leaves,
            DecisionRepository decisions,
            FigureRepository figures,
            SourceFileRepository files,
            LeafShareRepository shares,
            Intake intake,
            Clock clock) {
        this.leaves = leaves;
        this.decisions = decisions;
        this.figures = figures;
        this.files = files;
        this.shares = shares;
        this.intake = intake;
        this.clock = clock;
    }

    /** Keeps the file; it waits to be read. */
    @Transactional
    public UUID add(UUID owner, String fileName, byte[] bytes) {
        LeafEntity leaf = leaves.save(new LeafEntity(owner, fileName, clock.instant()));
        files.save(new SourceFileEntity(leaf.id, bytes));
        return leaf.id;
    }

    @Transactional(readOnly = true)
    public List<LeafSummary> list(UUID owner) {
        return leaves.summaries(owner);
    }

    /** Says that reading begins; false if there is nothing to read any more, because it was cancelled for example. */
    @Transactional
    public boolean begin(UUID id) {
        Optional<LeafEntity> leaf = leaves.findById(id);
        leaf.filter(l -> l.state == LeafState.WAITING).ifPresent(l -> l.state = LeafState.READING);
        return leaf.filter(l -> l.state == LeafState.READING).isPresent();
    }

    /** Reads the file and keeps what was understood, or why nothing was. Not in one transaction: it may take seconds. */
    public void read(UUID id) {
        LeafEntity leaf = leaves.findById(id).orElseThrow(() -> new NoSuchLeafException(id));
        byte[] bytes = files.findById(id).orElseThrow(() -> new NoSuchLeafException(id)).bytes;
        try {
            if (TestJson.isTest(bytes)) {
                take(leaf, TestJson.read(leaf.fileName, bytes));
            } else if (QtiReader.isPackage(bytes)) {
                take(leaf, QtiReader.read(leaf.fileName, bytes));
            } else {
                keep(leaf, intake.read(leaf.fileName, bytes), new Decisions(List.of()));
            }
        } catch (IntakeException refused) {
            leaf.state = LeafState.REFUSED;
            leaf.problem = String.valueOf(refused.getMessage());
        }
        leaf.touchedAt = clock.instant();
        if (leaves.findById(id).filter(now -> now.state == LeafState.READING).isPresent()) {
            leaves.save(leaf);
        }
    }

    /** A package's questions are taken over as they are; beside them stands the same test as text. */
    private void take(LeafEntity leaf, Imported imported) throws IntakeException {
        Quiz quiz = imported.quiz()
                .withQuestions(imported.quiz().questions().stream()
                        .map(question ->
                                question.withParticulars(question.particulars().withId("i-" + question.id())))
                        .toList());
        Source text = intake.read("test.txt", PlainTest.write(quiz, true).getBytes(StandardCharsets.UTF_8));
        List<Note> notes = imported.remarks().stream()
                .map(remark -> new Note(1, "import", remark))
                .toList();
        Source source = new Source(leaf.fileName, "package", text.lines(), imported.figures(), notes);
        Decision take = new Decision.Take(quiz);
        decisions.save(new DecisionEntity(leaf.id, 1, StoredJson.write(take), leaf.ownerId, clock.instant()));
        keep(leaf, source, new Decisions(List.of(take)));
    }

    private void keep(LeafEntity leaf, Source source, Decisions made) {
        Tidied tidied = Tidying.apply(source, made);
        for (Figure figure : source.figures()) {
            figures.save(new FigureEntity(leaf.id, figure));
        }
        leaf.source = StoredJson.write(withoutPictures(source));
        leaf.state = LeafState.READ;
        summarise(leaf, tidied);
    }

    /** Pictures have a table of their own. */
    private static Source withoutPictures(Source source) {
        List<Figure> light = source.figures().stream()
                .map(f -> new Figure(f.id(), f.mediaType(), f.alternative(), new byte[0]))
                .toList();
        return new Source(source.name(), source.format(), source.lines(), light, source.notes(), source.pages());
    }

    private static void summarise(LeafEntity leaf, Tidied tidied) {
        leaf.title = tidied.quiz().title();
        leaf.questionCount = tidied.quiz().questions().size();
        leaf.keyedCount = (int)
                tidied.quiz().questions().stream().filter(Question::isKeyed).count();
        leaf.snagCount = tidied.snags().size();
        leaf.spine = tidied.reading().ledger().stream()
                .map(entry -> String.valueOf(letter(entry.role())))
                .collect(Collectors.joining());
    }

    private static char letter(Role role) {
        return role.name().charAt(0);
    }

    /** Stops what is not read yet. */
    @Transactional
    public void cancel(UUID owner, UUID id) {
        leaves.lock(id, owner)
                .filter(leaf -> leaf.state == LeafState.WAITING || leaf.state == LeafState.READING)
                .ifPresent(leaf -> leaf.state = LeafState.CANCELLED);
    }

    /** The leaf as it stands, read again with all decisions. */
    @Transactional(readOnly = true)
    public OpenLeaf open(UUID owner, UUID id) {
        LeafEntity leaf = leaves.find(id, owner).orElseThrow(() -> new NoSuchLeafException(id));
        return open(leaf);
    }

    /**
     * The leaf as it stood after so many decisions.
     *
     * @param count below 0 or beyond what there are, the leaf as it stands now
     */
    @Transactional(readOnly = true)
    public OpenLeaf openAt(UUID owner, UUID id, int count) {
        OpenLeaf now = open(owner, id);
        if (count < 0 || count >= now.decisionCount()) {
            return now;
        }
        Decisions then = new Decisions(decisions.ofLeaf(id).stream()
                .limit(count)
                .map(row -> StoredJson.read(row.content, Decision.class))
                .toList());
        Tidied tidied = Tidying.apply(now.source(), then, Optional.of(now.tidied()));
        return new OpenLeaf(id, now.fileName(), now.touchedAt(), now.source(), then, count, tidied);
    }

    private OpenLeaf open(LeafEntity leaf) {
        if (leaf.source == null) {
            throw new NoSuchLeafException(leaf.id);
        }
        int count = decisions.countByKeyLeafId(leaf.id);
        Optional<OpenLeaf> known = Optional.ofNullable(opened.get(leaf.id));
        if (known.filter(open -> open.decisionCount() == count).isPresent()) {
            return known.get();
        }
        Source source = known.map(OpenLeaf::source).orElseGet(() -> StoredJson.read(leaf.source, Source.class));
        Decisions made = new Decisions(decisions.ofLeaf(leaf.id).stream()
                .map(row -> StoredJson.read(row.content, Decision.class))
                .toList());
        Tidied tidied = Tidying.apply(source, made, known.map(OpenLeaf::tidied));
        OpenLeaf open = new OpenLeaf(leaf.id, leaf.fileName, leaf.touchedAt, source, made, count, tidied);
        opened.put(leaf.id, open);
        return open;
    }

    /** Adds a decision to the leaf's list and gives the leaf as it stands then. */
    @Transactional
    public OpenLeaf decide(UUID owner, UUID id, Decision decision) {
        LeafEntity leaf = leaves.lock(id, owner).orElseThrow(() -> new NoSuchLeafException(id));
        int next = decisions.countByKeyLeafId(id) + 1;
        decisions.saveAndFlush(new DecisionEntity(id, next, StoredJson.write(decision), owner, clock.instant()));
        leaf.touchedAt = clock.instant();
        OpenLeaf open = open(leaf);
        summarise(leaf, open.tidied());
        return open;
    }

    /** Every decision ever made about a leaf, the latest first, with those taken back. */
    @Transactional(readOnly = true)
    public List<MadeDecision> history(UUID owner, UUID id) {
        leaves.find(id, owner).orElseThrow(() -> new NoSuchLeafException(id));
        return decisions.history(id).stream()
                .map(row -> new MadeDecision(
                        StoredJson.read(row.getContent(), Decision.class), row.getAuthor(), row.getMadeAt()))
                .toList();
    }

    /** A page of the source as PNG; empty where the source has no such page. */
    @Transactional(readOnly = true)
    public Optional<byte[]> page(UUID owner, UUID id, int page) {
        OpenLeaf open = open(owner, id);
        Optional<SourceFileEntity> file = page < open.source().pages().size() ? files.findById(id) : Optional.empty();
        return file.map(found -> {
            try {
                return PdfPages.png(open.fileName(), found.bytes, page);
            } catch (IntakeException undrawable) {
                throw new IllegalStateException(undrawable.getMessage(), undrawable);
            }
        });
    }

    /** From now on a colleague works on the leaf too, with the same rights but for sharing it. */
    @Transactional
    public void share(UUID id, UUID colleague) {
        shares.save(new LeafShareEntity(id, colleague, clock.instant()));
    }

    @Transactional
    public void unshare(UUID owner, UUID id, UUID colleague) {
        if (isOwner(owner, id)) {
            shares.deleteById(new LeafShareEntity.Key(id, colleague));
        }
    }

    /** Who works on it with its owner. */
    @Transactional(readOnly = true)
    public List<UUID> sharedWith(UUID id) {
        return shares.findByKeyLeafIdOrderBySharedAt(id).stream()
                .map(share -> share.key.accountId())
                .toList();
    }

    @Transactional(readOnly = true)
    public boolean isOwner(UUID account, UUID id) {
        return leaves.findById(id).filter(leaf -> leaf.ownerId.equals(account)).isPresent();
    }

    /**
     * Keeps a picture that was added by hand; no picture ever takes the place of another in storage.
     *
     * @param picture made for the id it is given
     */
    @Transactional
    public Figure add(UUID owner, UUID id, NewPicture picture) throws IntakeException {
        leaves.lock(id, owner).orElseThrow(() -> new NoSuchLeafException(id));
        Figure figure = picture.named("added-" + (figures.countByKeyLeafId(id) + 1));
        figures.save(new FigureEntity(id, figure));
        return figure;
    }

    /** A picture once it has a name in its leaf. */
    public interface NewPicture {
        Figure named(String id) throws IntakeException;
    }

    @Transactional(readOnly = true)
    public Optional<Figure> figure(UUID owner, UUID leaf, String figure) {
        return leaves.find(leaf, owner).flatMap(found -> figure(leaf, figure));
    }

    /** For those who were shown the leaf in a published edition. */
    @Transactional(readOnly = true)
    public Optional<Figure> figure(UUID leaf, String figure) {
        return figures.findById(new FigureEntity.Key(leaf, figure)).map(FigureEntity::figure);
    }
}
