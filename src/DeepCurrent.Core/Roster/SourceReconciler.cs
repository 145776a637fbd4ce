using DeepCurrent.Core.Access;

namespace DeepCurrent.Core.Roster;

/// <summary>Turns what a roster source says into a change to a school's roster. Said twice, it changes nothing the
/// second time; nothing is ended that did not come from the same source, and what a held-back row names stays as it
/// is.</summary>
public static class SourceReconciler
{
    private static readonly string[] TeachingRoles = ["teacher", "aide", "administrator", "proctor"];

    public static SourceResult Reconcile(RosterState state, SourceRoster source, SourceFrame frame, Makers makers) =>
        new Run(state, source, frame, makers).All();

    private sealed class Run(RosterState state, SourceRoster source, SourceFrame frame, Makers makers)
    {
        private readonly Draft<AdultId, RosterAdult> adults = new(state.Adults);
        private readonly Draft<ClassId, RosterClass> classes = new(state.Classes);
        private readonly Draft<ReaderId, RosterReader> readers = new(state.Readers);
        private readonly Draft<TeachingId, Teaching> teachings = new(state.Teachings);
        private readonly Draft<EnrolmentId, Enrolment> enrolments = new(state.Enrolments);
        private readonly List<RowProblem> problems = [.. source.Problems];
        private readonly HeldRows held = new(source.Held);

        private readonly SourceIds<AdultId, RosterAdult> adultIds = new(state.Adults, source.Source);
        private readonly SourceIds<ClassId, RosterClass> classIds = new(state.Classes, source.Source);
        private readonly SourceIds<ReaderId, RosterReader> readerIds = new(state.Readers, source.Source);
        private readonly SourceIds<EnrolmentId, Enrolment> enrolmentIds = new(state.Enrolments, source.Source);
        private readonly Dictionary<string, int?> classGrades = [];
        private readonly HashSet<AdultId> saidAdults = [];
        private readonly HashSet<ClassId> saidClasses = [];
        private readonly HashSet<ReaderId> saidReaders = [];
        private int linked,
            otherMail;

        public SourceResult All()
        {
            Classes();
            var (moreAdults, moreReaders) = Unsaid();
            Adults([.. source.Adults, .. moreAdults]);
            Readers([.. source.Readers, .. moreReaders]);
            Enrolments();
            if (otherMail > 0)
                Note(
                    new("users.csv", 1),
                    "email",
                    $"{otherMail}",
                    "Readers who have another guardian address here. It stays."
                );
            var change = new ChangeSet(
                adults.Steps(),
                classes.Steps(),
                readers.Steps(),
                teachings.Steps(),
                enrolments.Steps(),
                []
            );
            return new(change, problems, linked, Endings.Of(state, change));
        }

        private void Classes()
        {
            var seen = new Dictionary<string, RowPlace>();
            foreach (var row in source.ClassRows)
            {
                if (Twice(seen, row.SourceId, row.At))
                    continue;
                if (row is { FirstDay: { } first, LastDay: { } last } && last < first)
                {
                    held.Class(row.At, row.SourceId, row.Name);
                    Stop(row.At, "endDate", $"{last:yyyy-MM-dd}", "The class ends before it begins.");
                    continue;
                }
                var known = classIds.Before(row.SourceId, c => c.Name == row.Name) is { } id ? classes.Find(id) : null;
                if (known is null && row.Gone)
                    continue;
                classGrades[row.SourceId] = Grades.Parse(row.Grade, frame.Chart);
                var (key, from) = classIds.Key(row.SourceId, known);
                var next = known is null
                    ? new RosterClass(
                        makers.New<ClassId>(),
                        key,
                        frame.YearId,
                        row.Name,
                        makers.ClassCode(),
                        row.FirstDay,
                        row.LastDay,
                        Closed: false,
                        from
                    )
                    : known with
                    {
                        SourceId = key,
                        Source = from,
                        Name = row.Gone ? known.Name : row.Name,
                        FirstDay = row.FirstDay ?? known.FirstDay,
                        LastDay = row.LastDay ?? known.LastDay,
                        Closed = row.Gone,
                    };
                classes.Put(next);
                classIds.Say(row.SourceId, next.Id);
                saidClasses.Add(next.Id);
            }
            if (source.Classes != SourceScope.Whole)
                return;
            foreach (
                var c in state.Classes.Values.Where(c =>
                    !c.Closed
                    && classIds.Owns(c)
                    && c.YearId == frame.YearId
                    && !saidClasses.Contains(c.Id)
                    && !held.HasClass(c.SourceId!, c.Name)
                )
            )
                classes.Put(c with { Closed = true });
        }

        /// <summary>What somebody is of whom the source does not say it: what they are here.</summary>
        private (IReadOnlyList<SourceAdult>, IReadOnlyList<SourceReader>) Unsaid()
        {
            List<SourceAdult> ofAdults = [];
            List<SourceReader> ofReaders = [];
            foreach (var (asReader, asAdult) in source.Unsaid)
            {
                if (readerIds.Before(asReader.SourceId, SameName(asReader)) is not null)
                    ofReaders.Add(asReader);
                else if (adultIds.Before(asAdult.SourceId, a => a.Name == asAdult.Name) is not null)
                    ofAdults.Add(asAdult);
                else if (!asReader.Gone)
                {
                    held.User(asReader.At, asReader.SourceId, Names.Key(asReader.GivenName, asReader.FamilyName));
                    Stop(
                        asReader.At,
                        "role",
                        "",
                        "Add a role. The file does not say whether this is a reader or a teacher."
                    );
                }
            }
            return (ofAdults, ofReaders);
        }

        private void Adults(IReadOnlyList<SourceAdult> rows)
        {
            var seen = new Dictionary<string, RowPlace>();
            var free = state
                .Adults.Values.Where(a => a.SourceId is null && a.Mail is not null)
                .ToLookup(a => a.Mail!.ToLowerInvariant());
            foreach (var row in rows)
            {
                if (Twice(seen, row.SourceId, row.At))
                    continue;
                var known = adultIds.Before(row.SourceId, a => a.Name == row.Name) is { } id ? adults.Find(id) : null;
                if (known is null && row.Gone)
                    continue;
                if (
                    known is null
                    && row.Mail is not null
                    && free[row.Mail.ToLowerInvariant()].Where(a => !saidAdults.Contains(a.Id)).ToList() is [var one]
                )
                {
                    known = one;
                    linked++;
                }
                var (key, from) = adultIds.Key(row.SourceId, known);
                var next = known is null
                    ? new RosterAdult(
                        makers.New<AdultId>(),
                        key,
                        row.Name,
                        makers.AdultName(row.UserName ?? row.Mail ?? row.Name),
                        row.Mail,
                        Lead: false,
                        Left: false,
                        Source: from
                    )
                    : known with
                    {
                        SourceId = key,
                        Source = from,
                        Name = row.Gone ? known.Name : row.Name,
                        Mail = row.Mail ?? known.Mail,
                        Left = row.Gone && !frame.Keeps.Contains(known.Id),
                    };
                adults.Put(next);
                adultIds.Say(row.SourceId, next.Id);
                saidAdults.Add(next.Id);
            }
            if (source.Users != SourceScope.Whole)
                return;
            foreach (
                var a in state.Adults.Values.Where(a =>
                    !a.Left
                    && adultIds.Owns(a)
                    && !saidAdults.Contains(a.Id)
                    && !frame.Keeps.Contains(a.Id)
                    && !held.HasUser(a.SourceId!, NameOf(a))
                )
            )
                adults.Put(a with { Left = true });
        }

        private void Readers(IReadOnlyList<SourceReader> rows)
        {
            var seen = new Dictionary<string, RowPlace>();
            var free = state
                .Readers.Values.Where(r => r.SourceId is null)
                .ToLookup(r => Names.Key(r.GivenName, r.FamilyName));
            // Where a reader's own row has no grade, the grade of a class they are in will do.
            var gradeByClass = source
                .EnrolmentRows.Where(e => classGrades.GetValueOrDefault(e.ClassId) is not null)
                .GroupBy(e => e.UserId)
                .ToDictionary(g => g.Key, g => classGrades[g.First().ClassId]);
            foreach (var row in rows)
            {
                if (Twice(seen, row.SourceId, row.At))
                    continue;
                var known = readerIds.Before(row.SourceId, SameName(row)) is { } id ? readers.Find(id) : null;
                if (known is null && row.Gone)
                    continue;
                if (
                    known is null
                    && free[Names.Key(row.GivenName, row.FamilyName)].Where(r => !saidReaders.Contains(r.Id)).ToList()
                        is [var one]
                    && (Grades.Parse(row.Grade, frame.Chart) ?? one.Grade) == one.Grade
                )
                {
                    known = one;
                    linked++;
                }
                var grade = Grades.Parse(row.Grade, frame.Chart)
                    ?? known?.Grade
                    ?? gradeByClass.GetValueOrDefault(row.SourceId);
                if (grade is null)
                {
                    held.User(row.At, row.SourceId, Names.Key(row.GivenName, row.FamilyName));
                    Stop(
                        row.At,
                        "grades",
                        row.Grade ?? "",
                        "Neither this reader nor a class of theirs has a grade from KG to 12."
                    );
                    continue;
                }
                if (!string.IsNullOrEmpty(row.Grade) && Grades.Parse(row.Grade, frame.Chart) is null)
                    Note(row.At, "grades", row.Grade, "Unknown grade. The reader's grade stays as it is.");
                var next = known is null ? Added(row, grade.Value) : Changed(row, known, grade.Value);
                readers.Put(next);
                readerIds.Say(row.SourceId, next.Id);
                saidReaders.Add(next.Id);
            }
            if (source.Users != SourceScope.Whole)
                return;
            foreach (
                var r in state.Readers.Values.Where(r =>
                    !r.Left
                    && readerIds.Owns(r)
                    && !saidReaders.Contains(r.Id)
                    && !held.HasUser(r.SourceId!, Names.Key(r.GivenName, r.FamilyName))
                )
            )
                readers.Put(r with { Left = true });
        }

        private RosterReader Added(SourceReader row, int grade)
        {
            var (kind, secret) = makers.Secret(grade);
            var (key, from) = readerIds.Key(row.SourceId, null);
            return new()
            {
                Id = makers.New<ReaderId>(),
                SourceId = key,
                GivenName = row.GivenName,
                FamilyName = row.FamilyName,
                UserName = makers.ReaderName(row.GivenName, row.FamilyName),
                Grade = grade,
                HomeLanguage = null,
                GuardianMail = row.GuardianMail,
                SecretKind = kind,
                Secret = secret,
                Supports = Supports.None,
                Left = false,
                Source = from,
            };
        }

        private RosterReader Changed(SourceReader row, RosterReader known, int grade)
        {
            var (key, from) = readerIds.Key(row.SourceId, known);
            // An address that is here may have been put right by hand; it is the school's.
            if (
                known.GuardianMail is not null
                && row.GuardianMail is not null
                && known.GuardianMail != row.GuardianMail
            )
                otherMail++;
            var next = known with
            {
                SourceId = key,
                Source = from,
                Grade = grade,
                Left = row.Gone,
                GuardianMail = known.GuardianMail ?? row.GuardianMail,
            };
            return row.Gone ? next : next with { GivenName = row.GivenName, FamilyName = row.FamilyName };
        }

        private void Enrolments()
        {
            var open = state
                .Enrolments.Values.Where(e => e.To is null)
                .GroupBy(e => (e.ClassId, e.ReaderId))
                .ToDictionary(g => g.Key, g => g.First().Id);
            var taught = state.Teachings.Values.ToDictionary(t => (t.ClassId, t.AdultId));
            var seen = new Dictionary<string, RowPlace>();
            var kept = new HashSet<EnrolmentId>();
            // Those that are known come first: only then is it certain which stays are still open for a new id to take
            // over.
            foreach (
                var row in source
                    .EnrolmentRows.Where(r => !Twice(seen, r.SourceId, r.At))
                    .ToList()
                    .OrderBy(r => enrolmentIds.Now(r.SourceId) is null ? 1 : 0)
            )
            {
                if (row is { From: { } from, To: { } to } && to < from)
                {
                    Hold(row, "endDate", $"{to:yyyy-MM-dd}", "The enrolment ends before it begins.");
                    continue;
                }
                if (ClassOf(row) is not { } classId)
                    continue;
                if (row.Role == "student")
                {
                    if (UserOf(row, readerIds, "reader") is { } readerId)
                        Enrol(row, classId, readerId, open, kept);
                }
                else if (TeachingRoles.Contains(row.Role))
                {
                    if (UserOf(row, adultIds, "teacher") is not { } adultId || row.Gone || row.To < frame.Today)
                        continue;
                    var role = row.Role == "teacher" ? Part.Teacher : Part.Assistant;
                    var known = taught.GetValueOrDefault((classId, adultId));
                    // A teacher who was made a co-teacher here stays one.
                    var next =
                        known is null ? new Teaching(makers.New<TeachingId>(), classId, adultId, role)
                        : known.Role is Part.CoTeacher && role is Part.Teacher ? known
                        : known with { Role = role };
                    taught[(classId, adultId)] = next;
                    teachings.Put(next);
                }
                else if (!row.Gone)
                    Note(
                        row.At,
                        "role",
                        row.Role,
                        "Only student, teacher, aide, administrator and proctor have a place in a class here."
                    );
            }
            End(kept);
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
            Missing(row, "classSourcedId", row.ClassId, held.ClassAt(row.ClassId), "class", source.Classes);
            return null;
        }

        private TId? UserOf<TId, T>(SourceEnrolment row, SourceIds<TId, T> ids, string what)
            where TId : struct, IId<TId>
            where T : class, ISourcedThing, IRosterThing<TId>
        {
            if (
                ids.Now(row.UserId) is { } id
                && (source.Users != SourceScope.Whole || ids.Said(row.UserId) || held.UserAt(row.UserId) is not null)
            )
                return id;
            Missing(row, "userSourcedId", row.UserId, held.UserAt(row.UserId), what, source.Users);
            return null;
        }

        private void Missing(
            SourceEnrolment row,
            string column,
            string value,
            RowPlace? waits,
            string what,
            SourceScope scope
        )
        {
            if (row.Gone)
                return;
            held.Enrolment(row.SourceId, row.ClassId, row.UserId);
            if (waits is { } at)
                Note(row.At, column, value, $"Waits for {at.File}, line {at.Line}.");
            else
                Stop(
                    row.At,
                    column,
                    value,
                    scope == SourceScope.Whole
                        ? $"No {what} has this ID in the file."
                        : $"No {what} has this ID in the file or school."
                );
        }

        private void Enrol(
            SourceEnrolment row,
            ClassId classId,
            ReaderId readerId,
            Dictionary<(ClassId, ReaderId), EnrolmentId> open,
            HashSet<EnrolmentId> kept
        )
        {
            var known = (
                enrolmentIds.Now(row.SourceId)
                ?? enrolmentIds.Before(row.SourceId, e => e.ClassId == classId && e.ReaderId == readerId)
            )
                is { } id
                ? enrolments.Find(id)
                : null;
            if (known is not null && (known.ClassId != classId || known.ReaderId != readerId))
            {
                Hold(
                    row,
                    "sourcedId",
                    row.SourceId,
                    "This ID belonged to another reader or class before. An enrolment keeps its reader and class."
                );
                return;
            }
            var over =
                row.Gone || readers.Find(readerId) is { Left: true } || classes.Find(classId) is { Closed: true };
            if (
                known is null
                && open.TryGetValue((classId, readerId), out var other)
                && enrolments.Find(other) is { } mine
                && !over
                && !(row.To < frame.Today)
            )
            {
                // A reader who was put into the class by hand, by another source, or by an id this source no longer
                // has, takes the source's id on.
                if (enrolmentIds.Owns(mine) && (kept.Contains(mine.Id) || source.Enrolments != SourceScope.Whole))
                {
                    Note(row.At, "userSourcedId", row.UserId, "This reader is in this class already by another row.");
                    return;
                }
                known = mine;
            }
            if (known is null && over)
                return;
            var ended =
                over ? known!.To ?? frame.Today
                : row.To < frame.Today ? row.To
                : null;
            if (known is null && ended is not null && row.From is null)
                return;
            var (key, origin) = enrolmentIds.Key(row.SourceId, known);
            var next = known is null
                ? new Enrolment(
                    makers.New<EnrolmentId>(),
                    key,
                    classId,
                    readerId,
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
                open[(classId, readerId)] = next.Id;
            kept.Add(next.Id);
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

        private bool IsHeld(Enrolment e) =>
            held.HasEnrolment(
                e.SourceId ?? "",
                IdOf(state.Classes.GetValueOrDefault(e.ClassId)),
                IdOf(state.Readers.GetValueOrDefault(e.ReaderId))
            );

        private static string IdOf(ISourcedThing? thing) => thing?.SourceId ?? thing?.Key.ToString() ?? "";

        private bool Twice(Dictionary<string, RowPlace> seen, string id, RowPlace at)
        {
            if (seen.TryAdd(id, at))
                return false;
            Stop(at, "sourcedId", id, $"Line {seen[id].Line} has this ID already.");
            return true;
        }

        private void Hold(SourceEnrolment row, string column, string value, string reason)
        {
            held.Enrolment(row.SourceId, row.ClassId, row.UserId);
            Stop(row.At, column, value, reason);
        }

        private void Stop(RowPlace at, string column, string value, string reason) =>
            problems.Add(new(at, column, value, reason, Stops: true));

        private void Note(RowPlace at, string column, string value, string reason) =>
            problems.Add(new(at, column, value, reason, Stops: false));

        private static Func<RosterReader, bool> SameName(SourceReader row) =>
            r => Names.Key(r.GivenName, r.FamilyName) == Names.Key(row.GivenName, row.FamilyName);

        private static string NameOf(RosterAdult a) =>
            Names.Split(a.Name) is var (given, family) ? Names.Key(given, family) : "";
    }
}
