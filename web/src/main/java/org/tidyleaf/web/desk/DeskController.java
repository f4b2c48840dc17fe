package org.tidyleaf.web.desk;

import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.sitting.SittingService;
import org.tidyleaf.web.sitting.SittingSummary;

@Controller
class DeskController {
    private static final String LIST = "desk/leaf-list :: leafList";

    private final LeafService leaves;
    private final DeskService desk;
    private final SittingService sittings;
    private final Clock clock;

    DeskController(LeafService leaves, DeskService desk, SittingService sittings, Clock clock) {
        this.leaves = leaves;
        this.desk = desk;
        this.sittings = sittings;
        this.clock = clock;
    }

    @GetMapping("/")
    String desk(@AuthenticationPrincipal Teacher teacher, Model model) {
        list(teacher, model);
        List<SittingSummary> out = sittings.list(teacher.id());
        model.addAttribute("sittings", out);
        model.addAttribute("anyOpen", out.stream().anyMatch(SittingSummary::open));
        return "desk/desk";
    }

    @GetMapping("/leaves")
    String leafList(@AuthenticationPrincipal Teacher teacher, Model model) {
        list(teacher, model);
        return LIST;
    }

    @PostMapping("/leaves")
    String drop(@AuthenticationPrincipal Teacher teacher, @RequestParam List<MultipartFile> files, Model model)
            throws IOException {
        for (MultipartFile file : files) {
            desk.drop(teacher.id(), String.valueOf(file.getOriginalFilename()), file.getBytes());
        }
        list(teacher, model);
        return LIST;
    }

    @PostMapping("/leaves/pasted")
    String paste(@AuthenticationPrincipal Teacher teacher, @RequestParam String text, Model model) {
        desk.paste(teacher.id(), text);
        list(teacher, model);
        return LIST;
    }

    @PostMapping("/leaf/{id}/cancel")
    String cancel(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        leaves.cancel(teacher.id(), id);
        list(teacher, model);
        return LIST;
    }

    private void list(Teacher teacher, Model model) {
        ZoneId zone = ZoneId.systemDefault();
        LocalDate today = LocalDate.now(clock.withZone(zone));
        List<LeafRow> rows = leaves.list(teacher.id()).stream()
                .map(leaf -> LeafRow.of(leaf, today, zone))
                .toList();
        model.addAttribute("rows", rows);
        model.addAttribute("pending", rows.stream().anyMatch(LeafRow::isPending));
    }
}
