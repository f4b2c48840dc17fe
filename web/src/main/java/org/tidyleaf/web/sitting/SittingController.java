package org.tidyleaf.web.sitting;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.tidyleaf.exchange.Outlet;
import org.tidyleaf.exchange.SheetBook;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.publish.EditionService;

/** Giving a leaf out, and the results that come back. */
@Controller
class SittingController {
    private final SittingService sittings;
    private final EditionService editions;
    private final LeafService leaves;
    private final ZoneId zone;

    /** @param zone the school's, whose times the rules are written in */
    SittingController(
            SittingService sittings,
            EditionService editions,
            LeafService leaves,
            @Value("${tidyleaf.zone:}") String zone) {
        this.zone = zone.isBlank() ? ZoneId.systemDefault() : ZoneId.of(zone);
        this.sittings = sittings;
        this.editions = editions;
        this.leaves = leaves;
    }

    @GetMapping("/leaf/{id}/publish")
    String publish(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        return publish(teacher, id, List.of(), model);
    }

    private String publish(Teacher teacher, UUID id, List<String> faults, Model model) {
        OpenLeaf leaf = leaves.open(teacher.id(), id);
        model.addAttribute("publish", PublishPage.of(leaf, editions.lastNumber(id)));
        model.addAttribute("shows", Rules.Show.values());
        // Neighbours have a tick of their own there.
        model.addAttribute("parts", EnumSet.complementOf(EnumSet.of(PartialMarks.NEIGHBOURS)));
        model.addAttribute("zone", zone.getId());
        model.addAttribute("faults", faults);
        return "sitting/publish";
    }

    @PostMapping("/leaf/{id}/publish")
    String open(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, RulesForm form, Model model) {
        List<String> faults = new ArrayList<>();
        Optional<Rules> rules = form.rules(zone, faults);
        if (rules.isEmpty()) {
            return publish(teacher, id, faults, model);
        }
        return sittings.publishAndOpen(teacher.id(), id, rules.get(), ClassList.read(form.people()))
                .map(sitting -> "redirect:/sitting/" + sitting)
                .orElse("redirect:/leaf/" + id + "/publish");
    }

    /** The sitting while it runs; the rows alone where the page asks for them again. */
    @GetMapping("/sitting/{id}/watch")
    String watch(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestHeader(name = "HX-Request", defaultValue = "false") boolean partial,
            Model model) {
        model.addAttribute("sitting", sittings.summary(teacher.id(), id));
        model.addAttribute("watch", sittings.watch(teacher.id(), id));
        return partial ? "sitting/watch :: rows" : "sitting/watch";
    }

    @PostMapping("/sitting/{id}/script/{script}/extend")
    String extend(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable UUID script,
            @RequestParam int minutes) {
        sittings.extend(teacher.id(), id, script, minutes);
        return "redirect:/sitting/" + id + "/watch";
    }

    @PostMapping("/sitting/{id}/script/{script}/reopen")
    String reopen(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @PathVariable UUID script) {
        sittings.reopen(teacher.id(), id, script);
        return "redirect:/sitting/" + id + "/watch";
    }

    @PostMapping("/sitting/{id}/regrade")
    String regrade(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        sittings.regrade(teacher.id(), id);
        return "redirect:/sitting/" + id;
    }

    @PostMapping("/sitting/{id}/release")
    String release(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        sittings.release(teacher.id(), id);
        return "redirect:/sitting/" + id;
    }

    @GetMapping("/sittings")
    String sittings(@AuthenticationPrincipal Teacher teacher, Model model) {
        model.addAttribute("sittings", sittings.list(teacher.id()));
        return "sitting/sittings";
    }

    @GetMapping("/sitting/{id}")
    String results(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, HttpServletRequest request, Model model) {
        SittingSummary sitting = sittings.summary(teacher.id(), id);
        model.addAttribute("sitting", sitting);
        model.addAttribute("table", sittings.results(teacher.id(), id));
        model.addAttribute("rules", RulesWords.of(sittings.rules(teacher.id(), id), zone));
        model.addAttribute("people", sittings.people(teacher.id(), id));
        model.addAttribute("corrected", sittings.corrected(teacher.id(), id));
        model.addAttribute("regraded", sittings.regraded(teacher.id(), id));
        model.addAttribute(
                "mayRelease", sittings.rules(teacher.id(), id).isOnRelease() && !sittings.isReleased(teacher.id(), id));
        model.addAttribute(
                "link",
                ServletUriComponentsBuilder.fromContextPath(request)
                        .path("/s/" + sitting.code())
                        .toUriString());
        return "sitting/results";
    }

    @GetMapping("/sitting/{id}/results.csv")
    ResponseEntity<String> csv(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        ContentDisposition file =
                ContentDisposition.attachment().filename("results.csv").build();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(ResultCsv.write(sittings.results(teacher.id(), id)));
    }

    @GetMapping("/sitting/{id}/results.xlsx")
    ResponseEntity<StreamingResponseBody> workbook(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        ResultTable table = sittings.results(teacher.id(), id);
        ContentDisposition file =
                ContentDisposition.attachment().filename("results.xlsx").build();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(Outlet.XLSX.mediaType()))
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(out -> SheetBook.write("Results", ResultCsv.rows(table), out));
    }

    @PostMapping("/sitting/{id}/close")
    String close(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id) {
        sittings.close(teacher.id(), id);
        return "redirect:/sitting/" + id;
    }
}
