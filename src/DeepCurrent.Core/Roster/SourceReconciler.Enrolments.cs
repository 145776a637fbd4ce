using DeepCurrent.Core.Access;

namespace DeepCurrent.Core.Roster;

// Who is in which class.
public static partial class SourceReconciler
{
    private sealed partial class Run
    {
        private void Enrolments()
        {
            var stays = new Stays(
                state
                    .Enrolments.Values.Where(e => e.To is null)
                    .GroupBy(e => (e.ClassId, e.ReaderId))
                    .ToDictionary(g => g.Key, g => g.First().Id),
                state.Teachings.Values.ToDictionary(t => (t.ClassId, t.AdultId)),
                []
            );
            var seen = new Dictionary<string, RowPlace>();
            // Those that are known come first: only then is it certain which stays are still open for a new id to take
            // over.
            foreach (
                var row in source
                    .EnrolmentRows.Where(r => !Twice(seen, r.SourceId, r.At))
                    .ToList()
                    .OrderBy(r => enrolmentIds.Now(r.SourceId) is null ? 1 : 0)
            )
                if (row is { From: { } from, To: { } to } && to < from)
                    Hold(row, "endDate", $"{to:yyyy-MM-dd}", $"The enrolment ends before it starts.");
                else if (ClassOf(row) is { } classId)
                    Placed(row, classId, stays);
            End(stays.Kept);
        }

        /// <summary>Who is where, while rows are gone through.</summary>
        /// <param name="Open">Readers' stays that go on.</param>
        /// <param name="Taught">Adults' parts.</param>
        /// <param name="Kept">Stays some row has spoken of.</param>
        private sealed record Stays(
            Dictionary<(ClassId, ReaderId), EnrolmentId> Open,
            Dictionary<(ClassId, AdultId), Teaching> Taught,
            HashSet<EnrolmentId> Kept
        );

        private static readonly (Message File, Message School) NoReader =
                ($"No reader has this ID in the file.", $"No reader has this ID in the file or school."),
            NoTeacher = ($"No teacher has this ID in the file.", $"No teacher has this ID in the file or school."),
            NoClass = ($"No class has this ID in the file.", $"No class has this ID in the file or school.");

        private void Placed(SourceEnrolment row, ClassId classId, Stays stays)
        {
            if (row.Role == "student")
            {
                if (UserOf(row, readerIds, NoReader) is { } readerId)
                    Enrol(row, classId, readerId, stays);
            }
            else if (TeachingRoles.Contains(row.Role))
            {
                if (UserOf(row, adultIds, NoTeacher) is { } adultId && !row.Gone && !(row.To < frame.Today))
                    Teach(row, classId, adultId, stays);
            }
            else if (!row.Gone)
                Note(row.At, "role", row.Role, $"Use student, teacher, aide, administrator or proctor.");
        }

        private void Teach(SourceEnrolment row, ClassId classId, AdultId adultId, Stays stays)
        {
            var role = row.Role == "teacher" ? Part.Teacher : Part.Assistant;
            var known = stays.Taught.GetValueOrDefault((classId, adultId));
            // A teacher who was made a co-teacher here stays one.
            var next =
                known is null ? new Teaching(makers.New<TeachingId>(), classId, adultId, role)
                : known.Role is Part.CoTeacher && role is Part.Teacher ? known
                : known with { Role = role };
            stays.Taught[(classId, adultId)] = next;
            teachings.Put(next);
        }

        /// <summary>The class an enrolment is in. A whole file must hold what it refers to; one of changes may lean on
        /// what is here.</summary>
        private ClassId? ClassOf(SourceEnrolment row)
        {
            if (
                classIds.Now(row.ClassId) is { } id
                && (
                    source.Classes != SourceScope.Whole
                    || classIds.Said(row.ClassId)
                    || held.ClassAt(row.ClassId) is not null
                )
            )
                return id;
            Missing(row, "classSourcedId", row.ClassId, held.ClassAt(row.ClassId), NoClass, source.Classes);
            return null;
        }

        private TId? UserOf<TId, T>(SourceEnrolment row, SourceIds<TId, T> ids, (Message File, Message School) none)
            where TId : struct, IId<TId>
            where T : class, ISourcedThing, IRosterThing<TId>
        {
            if (
                ids.Now(row.UserId) is { } id
                && (source.Users != SourceScope.Whole || ids.Said(row.UserId) || held.UserAt(row.UserId) is not null)
            )
                return id;
            Missing(row, "userSourcedId", row.UserId, held.UserAt(row.UserId), none, source.Users);
            return null;
        }

        private void Missing(
            SourceEnrolment row,
            string column,
            string value,
            RowPlace? waits,
            (Message File, Message School) none,
            SourceScope scope
        )
        {
            if (row.Gone)
                return;
            held.Enrolment(row.SourceId, row.ClassId, row.UserId);
            if (waits is { } at)
                Note(row.At, column, value, $"Fix {at.File}, line {at.Line} first.");
            else
                Stop(row.At, column, value, scope == SourceScope.Whole ? none.File : none.School);
        }

        private void Enrol(SourceEnrolment row, ClassId classId, ReaderId readerId, Stays stays)
        {
            var known = Known(row, classId, readerId);
            if (Another(known, classId, readerId))
            {
                Hold(
                    row,
                    "sourcedId",
                    row.SourceId,
                    $"This ID belonged to another reader or class before. An enrolment keeps its reader and class."
                );
                return;
            }
            var over = Over(row, classId, readerId);
            if (known is null && !over && !(row.To < frame.Today) && OpenStay(classId, readerId, stays) is { } mine)
            {
                // A reader who was put into the class by hand, by another source, or by an id this source no longer
                // has, takes the source's id on.
                if (enrolmentIds.Owns(mine) && (stays.Kept.Contains(mine.Id) || source.Enrolments != SourceScope.Whole))
                {
                    Note(row.At, "userSourcedId", row.UserId, $"Another row puts this reader in this class already.");
                    return;
                }
                known = mine;
            }
            var ended = EndOf(row, known, over);
            // What is over and was never heard of has not been here.
            if (known is null && (over || (ended is not null && row.From is null)))
                return;
            Stay(row, known, (classId, readerId), ended, stays);
        }

        private static bool Another(Enrolment? known, ClassId classId, ReaderId readerId) =>
            known is not null && (known.ClassId != classId || known.ReaderId != readerId);

        /// <summary>Whether nobody can be in a class by this row any more.</summary>
        private bool Over(SourceEnrolment row, ClassId classId, ReaderId readerId) =>
            row.Gone || readers.Find(readerId) is { Left: true } || classes.Find(classId) is { Closed: true };

        private DateOnly? EndOf(SourceEnrolment row, Enrolment? known, bool over) =>
            over ? known?.To ?? frame.Today
            : row.To < frame.Today ? row.To
            : null;

        private Enrolment? Known(SourceEnrolment row, ClassId classId, ReaderId readerId) =>
            (
                enrolmentIds.Now(row.SourceId)
                ?? enrolmentIds.Before(row.SourceId, e => e.ClassId == classId && e.ReaderId == readerId)
            )
                is { } id
                ? enrolments.Find(id)
                : null;

        private Enrolment? OpenStay(ClassId classId, ReaderId readerId, Stays stays) =>
            stays.Open.TryGetValue((classId, readerId), out var id) ? enrolments.Find(id) : null;

        private void Stay(
            SourceEnrolment row,
            Enrolment? known,
            (ClassId Class, ReaderId Reader) whose,
            DateOnly? ended,
            Stays stays
        )
        {
            var (key, origin) = enrolmentIds.Key(row.SourceId, known);
            var next = known is null
                ? new Enrolment(
                    makers.New<EnrolmentId>(),
                    key,
                    whose.Class,
                    whose.Reader,
                    row.From ?? frame.Today,
                    ended,
                    origin
                )
                : known with
                {
                    SourceId = key,
                    Source = origin,
                    From = row.From ?? known.From,
                    To = ended,
                };
            enrolments.Put(next);
            enrolmentIds.Say(row.SourceId, next.Id);
            if (next.To is null)
                stays.Open[whose] = next.Id;
            stays.Kept.Add(next.Id);
        }

        /// <summary>What a whole source leaves out has ended, and so has whatever belongs to readers and classes that
        /// are gone.</summary>
        private void End(HashSet<EnrolmentId> kept)
        {
            foreach (var e in state.Enrolments.Values.Where(e => e.To is null))
            {
                var left = readers.Find(e.ReaderId) is { Left: true } || classes.Find(e.ClassId) is { Closed: true };
                var missing =
                    source.Enrolments == SourceScope.Whole
                    && enrolmentIds.Owns(e)
                    && !kept.Contains(e.Id)
                    && state.Classes.GetValueOrDefault(e.ClassId)?.YearId == frame.YearId
                    && !IsHeld(e);
                if ((left || missing) && enrolments.Find(e.Id) is { To: null } now)
                    enrolments.Put(now with { To = frame.Today });
            }
        }
    }
}
