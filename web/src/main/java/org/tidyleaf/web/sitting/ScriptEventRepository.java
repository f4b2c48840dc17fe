package org.tidyleaf.web.sitting;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ScriptEventRepository extends JpaRepository<ScriptEventEntity, Long> {
    List<ScriptEventEntity> findByScriptIdOrderById(UUID scriptId);

    @Query(
            "select e from ScriptEventEntity e, ScriptEntity s where e.scriptId = s.id and s.sittingId = :sitting order by e.id")
    List<ScriptEventEntity> ofSitting(UUID sitting);
}
