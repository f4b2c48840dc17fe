package org.tidyleaf.web.export;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.tidyleaf.exchange.Outlet;
import org.tidyleaf.exchange.Paper;
import org.tidyleaf.exchange.PrintedVersions;
import org.tidyleaf.exchange.QtiPackage;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.course.CourseSender;
import org.tidyleaf.web.leaf.LeafService;

/** The test in other formats, as it stands in the review; each is written while it is sent. */
@Controller
@RequestMapping("/leaf/{id}/export")
class ExportController {

    /** In minutes: a week. */
    private static final int LONGEST_TEST = 7 * 24 * 60;

    private final LeafService leaves;
    private final CourseSender course;

    ExportController(LeafService leaves, CourseSender course) {
        this.leaves = leaves;
        this.course = course;
    }

    /** A format on the page, with what of this test it can't hold. */
    record Choice(String path, String name, String words, List<String> remarks) {}

    @GetMapping
    String choose(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        Quiz quiz = quiz(teacher, id);
        model.addAttribute("id", id);
        model.addAttribute("title", quiz.title());
        model.addAttribute("questions", quiz.questions().size());
        model.addAttribute("unkeyed", Outlet.unkeyed(quiz));
        model.addAttribute("papers", Paper.values());
        model.addAttribute("most", PrintedVersions.MOST);
        model.addAttribute("packages", choices(quiz, PACKAGES));
        model.addAttribute("sheets", choices(quiz, SHEETS));
        return "export/export";
    }

    private record Named(Outlet outlet, String name, String words) {}

    private static final List<Named> PACKAGES = List.of(
            new Named(
                    Outlet.QTI3,
                    "QTI 3.0",
                    "The open standard for tests: everything, with keys, points, pictures, feedback."),
            new Named(Outlet.QTI21, "QTI 2.1", "The same in the older version that more programs take in."),
            new Named(
                    Outlet.CARTRIDGE,
                    "Common Cartridge",
                    "What nearly every course system takes in: choices, blanks and essays."));

    private static final List<Named> SHEETS = List.of(
            new Named(Outlet.XLSX, "Workbook", "An .xlsx with a question in each row."),
            new Named(Outlet.CSV, "Sheet", "The same as .csv."),
            new Named(Outlet.TEXT, "Plain text", "Numbers, letters, answer lines."),
            new Named(Outlet.MARKDOWN, "Markdown", "The same with headings, bold words, tables and formulas."),
            new Named(Outlet.JSON, "JSON", "For programs of your own."));

    private static List<Choice> choices(Quiz quiz, List<Named> named) {
        List<Choice> choices = new ArrayList<>();
        for (Named one : named) {
            String path = one.outlet().name().toLowerCase(Locale.ROOT);
            choices.add(new Choice(path, one.name(), one.words(), one.outlet().remarks(quiz)));
        }
        return choices;
    }

    @GetMapping("/{format}")
    ResponseEntity<StreamingResponseBody> download(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @PathVariable String format) {
        Outlet outlet = outlet(format);
        Quiz quiz = quiz(teacher, id);
        return file(quiz.title(), outlet.ending(), outlet.mediaType())
                .body(out -> outlet.write(quiz, figure -> leaves.figure(id, figure), out));
    }

    /** Delivers the test to the course system and shows its receipt. */
    @PostMapping("/send")
    String send(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam String format,
            RedirectAttributes after)
            throws IOException {
        Outlet outlet = outlet(format);
        Quiz quiz = quiz(teacher, id);
        after.addFlashAttribute(
                "delivery",
                course.send(
                        quiz.title() + outlet.ending(),
                        out -> outlet.write(quiz, figure -> leaves.figure(id, figure), out)));
        return "redirect:/leaf/" + id + "/export#send";
    }

    /** Shuffled versions, each without and with its key. */
    @GetMapping("/versions")
    ResponseEntity<StreamingResponseBody> versions(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam Paper paper,
            @RequestParam int count) {
        if (count < 1 || count > PrintedVersions.MOST) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
        }
        Quiz quiz = quiz(teacher, id);
        return file(quiz.title(), " versions.zip", "application/zip")
                .body(out -> PrintedVersions.write(
                        paper, quiz, count, id.getMostSignificantBits(), figure -> leaves.figure(id, figure), out));
    }

    /** A package of either version with a time limit. */
    @GetMapping("/timed")
    ResponseEntity<StreamingResponseBody> timed(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam QtiPackage.Version version,
            @RequestParam int minutes) {
        if (minutes < 1 || minutes > LONGEST_TEST) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
        }
        Quiz quiz = quiz(teacher, id);
        Outlet outlet = version == QtiPackage.Version.V30 ? Outlet.QTI3 : Outlet.QTI21;
        return file(quiz.title(), outlet.ending(), outlet.mediaType())
                .body(out -> QtiPackage.writeTimed(version, quiz, minutes, figure -> leaves.figure(id, figure), out));
    }

    /**
     * The questions by topic, and a test that draws some of each.
     *
     * @param draw how many of each topic
     */
    @GetMapping("/pool")
    ResponseEntity<StreamingResponseBody> pool(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @RequestParam int draw) {
        if (draw < 1) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
        }
        Quiz quiz = quiz(teacher, id);
        return file(quiz.title(), " pool.zip", "application/zip")
                .body(out -> QtiPackage.writePool(quiz, draw, figure -> leaves.figure(id, figure), out));
    }

    /**
     * Delivers the pool to the course system.
     *
     * @param draw how many of each topic
     */
    @PostMapping("/send-pool")
    String sendPool(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam int draw,
            RedirectAttributes after)
            throws IOException {
        if (draw < 1) {
            throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
        }
        Quiz quiz = quiz(teacher, id);
        after.addFlashAttribute(
                "delivery",
                course.send(
                        quiz.title() + " pool.zip",
                        out -> QtiPackage.writePool(quiz, draw, figure -> leaves.figure(id, figure), out)));
        return "redirect:/leaf/" + id + "/export#send";
    }

    private static Outlet outlet(String format) {
        for (Outlet outlet : Outlet.values()) {
            if (outlet.name().equalsIgnoreCase(format)) {
                return outlet;
            }
        }
        throw new ResponseStatusException(HttpStatus.NOT_FOUND);
    }

    private Quiz quiz(Teacher teacher, UUID id) {
        return leaves.open(teacher.id(), id).tidied().quiz();
    }

    /** The title as a file name that is safe everywhere. */
    private static ResponseEntity.BodyBuilder file(String title, String ending, String type) {
        String safe = title.replaceAll("[^\\p{L}\\p{N} _-]+", "").strip();
        String name = (safe.isEmpty() ? "test" : safe.substring(0, Math.min(80, safe.length()))) + ending;
        ContentDisposition disposition = ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString());
    }
}
