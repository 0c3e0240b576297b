<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/** Deletes a kit that is only planned. One that the log or a round speaks of, since it was pulled and put back, is only out of sight. */
final readonly class DeleteKit
{
    /** What goes with a kit; each has the kit's number. */
    public const OF_KIT = [
        'workshop', 'need', 'piece', 'sheet_in_work', 'cut_plan', 'design', 'making_step', 'kit_occasion', 'kit_time', 'handover',
    ];

    /** What speaks of a kit that was once under way. */
    public const SPEAK_OF_IT = ['movement', 'put_off', 'errand_task'];

    public function __construct(private Connection $database, private EntityManagerInterface $entities)
    {
    }

    /** @throws StepRefused if it has been pulled */
    public function __invoke(Step $step, Kit $kit): void
    {
        if (!$kit->isPlanned()) {
            throw KitsRefused::isNotPlanned($kit->name);
        }
        $this->entities->flush();
        foreach (self::SPEAK_OF_IT as $table) {
            if (false !== $this->database->fetchOne("SELECT 1 FROM $table WHERE kit_id = ?", [$kit->id])) {
                $kit->removedAt = $step->at;

                return;
            }
        }
        $this->database->executeStatement('UPDATE need SET instead_of_id = NULL WHERE kit_id = ? AND instead_of_id IS NOT NULL', [$kit->id]);
        $this->database->executeStatement('UPDATE album_page SET kit_id = NULL WHERE kit_id = ?', [$kit->id]);
        foreach (['share', 'bag'] as $ofClass) {
            $this->database->executeStatement("DELETE FROM $ofClass WHERE workshop_id IN (SELECT id FROM workshop WHERE kit_id = ?)", [$kit->id]);
        }
        foreach (self::OF_KIT as $ofKit) {
            $this->database->delete($ofKit, ['kit_id' => $kit->id]);
        }
        $this->entities->clear();
        $this->database->delete('kit', ['id' => $kit->id]);
    }
}
