namespace DeepCurrent.Core.Roster;

/// <summary>Turns what a district's roster source says into a change to a school's roster. Said twice, it changes nothing the second time; nothing is ended that did not come from a source.</summary>
public static class SourceReconciler
{
    private static readonly string[] TeachingRoles = ["teacher", "aide", "administrator", "proctor"];

    public static SourceResult Reconcile(RosterState state, SourceRoster source, SourceFrame frame, Makers makers) => new Run(state, source, frame, makers).All();

    private sealed class Run(RosterState state, SourceRoster source, SourceFrame frame, Makers makers)
    {
        private readonly Draft<RosterAdult> adults = new(state.Adults);
        private readonly Draft<RosterClass> classes = new(state.Classes);
        private readonly Draft<RosterReader> readers = new(state.Readers);
        private readonly Draft<Teaching> teachings = new(state.Teachings);
        private readonly Draft<Enrolment> enrolments = new(state.Enrolments);
        private readonly List<RowProblem> problems = [.. source.Problems];

        private readonly Dictionary<string, Guid> adultIds = BySource(state.Adults.Values, a => a.SourceId);
        private readonly Dictionary<string, Guid> classIds = BySource(state.Classes.Values, c => c.SourceId);
        private readonly Dictionary<string, Guid> readerIds = BySource(state.Readers.Values, r => r.SourceId);
        private readonly Dictionary<string, int?> classGrades = [];
        private readonly HashSet<Guid> said = [];
        private int linked;

        public SourceResult All()
        {
            Classes();
            Adults();
            Readers();
            Enrolments();
            return new(new(adults.Steps(), classes.Steps(), readers.Steps(), teachings.Steps(), enrolments.Steps(), []), problems, linked);
        }

        private void Classes()
        {
            var seen = new Dictionary<string, RowPlace>();
            foreach (var row in source.ClassRows)
            {
                if (Twice(seen, row.SourceId, row.At)) continue;
                if (row is { FirstDay: { } first, LastDay: { } last } && last < first) { Stop(row.At, "endDate", $"{last:yyyy-MM-dd}", "The class ends before it begins."); continue; }
                var known = classIds.TryGetValue(row.SourceId, out var id) ? classes.Find(id) : null;
                if (known is null && row.Gone) continue;
                classGrades[row.SourceId] = Grades.Parse(row.Grade, frame.Chart);
                var next = known is null
                    ? new RosterClass(makers.NewId(), row.SourceId, frame.YearId, row.Name, makers.ClassCode(), row.FirstDay, row.LastDay, Closed: false)
                    : known with { Name = row.Gone ? known.Name : row.Name, FirstDay = row.FirstDay ?? known.FirstDay, LastDay = row.LastDay ?? known.LastDay, Closed = row.Gone };
                classes.Put(next);
                classIds[row.SourceId] = next.Id;
                said.Add(next.Id);
            }
            if (source.Classes != SourceScope.Whole) return;
            foreach (var c in state.Classes.Values.Where(c => c is { SourceId: not null, Closed: false } && c.YearId == frame.YearId && !said.Contains(c.Id))) classes.Put(c with { Closed = true });
        }

        private void Adults()
        {
            var seen = new Dictionary<string, RowPlace>();
            var free = state.Adults.Values.Where(a => a.SourceId is null && a.Mail is not null).ToLookup(a => a.Mail!.ToLowerInvariant());
            foreach (var row in source.Adults)
            {
                if (Twice(seen, row.SourceId, row.At)) continue;
                var known = adultIds.TryGetValue(row.SourceId, out var id) ? adults.Find(id) : null;
                if (known is null && row.Gone) continue;
                if (known is null && row.Mail is not null && free[row.Mail.ToLowerInvariant()].Where(a => !said.Contains(a.Id)).ToList() is [var one]) { known = one; linked++; }
                var next = known is null
                    ? new RosterAdult(makers.NewId(), row.SourceId, row.Name, makers.AdultName(row.UserName ?? row.Mail ?? row.Name), row.Mail, Lead: false, Left: false)
                    : known with { SourceId = Own(row.SourceId, known.SourceId, known.Id), Name = row.Gone ? known.Name : row.Name, Mail = row.Mail ?? known.Mail, Left = row.Gone && !frame.Keeps.Contains(known.Id) };
                adults.Put(next);
                adultIds[row.SourceId] = next.Id;
                said.Add(next.Id);
            }
            if (source.Users != SourceScope.Whole) return;
            foreach (var a in state.Adults.Values.Where(a => a is { SourceId: not null, Left: false } && !said.Contains(a.Id) && !frame.Keeps.Contains(a.Id))) adults.Put(a with { Left = true });
        }

        private void Readers()
        {
            var seen = new Dictionary<string, RowPlace>();
            var free = state.Readers.Values.Where(r => r.SourceId is null).ToLookup(r => Names.Key(r.GivenName, r.FamilyName));
            // Where a reader's own row has no grade, the grade of a class they are in will do.
            var gradeByClass = source.EnrolmentRows.Where(e => classGrades.GetValueOrDefault(e.ClassId) is not null).GroupBy(e => e.UserId).ToDictionary(g => g.Key, g => classGrades[g.First().ClassId]);
            foreach (var row in source.Readers)
            {
                if (Twice(seen, row.SourceId, row.At)) continue;
                var known = readerIds.TryGetValue(row.SourceId, out var id) ? readers.Find(id) : null;
                if (known is null && row.Gone) continue;
                if (known is null && free[Names.Key(row.GivenName, row.FamilyName)].Where(r => !said.Contains(r.Id)).ToList() is [var one] && (Grades.Parse(row.Grade, frame.Chart) ?? one.Grade) == one.Grade) { known = one; linked++; }
                var grade = Grades.Parse(row.Grade, frame.Chart) ?? known?.Grade ?? gradeByClass.GetValueOrDefault(row.SourceId);
                if (grade is null) { Stop(row.At, "grades", row.Grade ?? "", "Neither this reader nor a class of theirs has a grade from KG to 12."); continue; }
                if (!string.IsNullOrEmpty(row.Grade) && Grades.Parse(row.Grade, frame.Chart) is null) Note(row.At, "grades", row.Grade, "This grade is not known here; the one the reader has is kept.");
                var next = known is null ? Added(row, grade.Value) : known with { SourceId = Own(row.SourceId, known.SourceId, known.Id), GivenName = row.Gone ? known.GivenName : row.GivenName, FamilyName = row.Gone ? known.FamilyName : row.FamilyName, Grade = grade.Value, Left = row.Gone };
                readers.Put(next);
                readerIds[row.SourceId] = next.Id;
                said.Add(next.Id);
            }
            if (source.Users != SourceScope.Whole) return;
            foreach (var r in state.Readers.Values.Where(r => r is { SourceId: not null, Left: false } && !said.Contains(r.Id))) readers.Put(r with { Left = true });
        }

        private RosterReader Added(SourceReader row, int grade)
        {
            var (kind, secret) = makers.Secret(grade);
            return new(makers.NewId(), row.SourceId, row.GivenName, row.FamilyName, makers.ReaderName(row.GivenName, row.FamilyName), grade, null, null, kind, secret, Supports.None, Left: false);
        }

        private void Enrolments()
        {
            var bySource = BySource(state.Enrolments.Values, e => e.SourceId);
            var open = state.Enrolments.Values.Where(e => e.To is null).GroupBy(e => (e.ClassId, e.ReaderId)).ToDictionary(g => g.Key, g => g.First().Id);
            var taught = state.Teachings.Values.ToDictionary(t => (t.ClassId, t.AdultId));
            var seen = new Dictionary<string, RowPlace>();
            var kept = new HashSet<Guid>();
            // Those that are known come first: only then is it certain which stays are still open for a new id to take over.
            foreach (var row in source.EnrolmentRows.Where(r => !Twice(seen, r.SourceId, r.At)).ToList().OrderBy(r => bySource.ContainsKey(r.SourceId) ? 0 : 1))
            {
                if (!classIds.TryGetValue(row.ClassId, out var classId)) { if (!row.Gone) Stop(row.At, "classSourcedId", row.ClassId, "There is no class with this id, in the file or here."); continue; }
                if (row is { From: { } from, To: { } to } && to < from) 
                {
                    Stop(row.At, "endDate", $"{to:yyyy-MM-dd}", "The enrolment ends before it begins.");
                    if (bySource.TryGetValue(row.SourceId, out var untouched)) kept.Add(untouched);
                    continue;
                }
                if (row.Role == "student")
                {
                    if (!readerIds.TryGetValue(row.UserId, out var readerId)) { if (!row.Gone) Stop(row.At, "userSourcedId", row.UserId, "There is no reader with this id, in the file or here."); continue; }
                    Enrol(row, classId, readerId, bySource, open, kept);
                }
                else if (TeachingRoles.Contains(row.Role))
                {
                    if (!adultIds.TryGetValue(row.UserId, out var adultId)) { if (!row.Gone) Stop(row.At, "userSourcedId", row.UserId, "There is no teacher with this id, in the file or here."); continue; }
                    if (row.Gone || row.To < frame.Today) continue;
                    var role = row.Role == "teacher" ? "teacher" : "assistant";
                    var known = taught.GetValueOrDefault((classId, adultId));
                    // A teacher who was made a co-teacher here stays one.
                    var next = known is null ? new Teaching(makers.NewId(), classId, adultId, role) : known.Role == "co-teacher" && role == "teacher" ? known : known with { Role = role };
                    taught[(classId, adultId)] = next;
                    teachings.Put(next);
                    kept.Add(next.Id);
                }
                else if (!row.Gone) Note(row.At, "role", row.Role, "Only student, teacher, aide, administrator and proctor have a place in a class here.");
            }
            End(kept);
        }

        private void Enrol(SourceEnrolment row, Guid classId, Guid readerId, Dictionary<string, Guid> bySource, Dictionary<(Guid, Guid), Guid> open, HashSet<Guid> kept)
        {
            var known = bySource.TryGetValue(row.SourceId, out var id) ? enrolments.Find(id) : null;
            if (known is not null && (known.ClassId != classId || known.ReaderId != readerId))
            {
                Stop(row.At, "sourcedId", row.SourceId, "This id belonged to another reader or class before; an enrolment keeps its reader and class.");
                kept.Add(known.Id);
                return;
            }
            var over = row.Gone || readers.Find(readerId) is { Left: true } || classes.Find(classId) is { Closed: true };
            if (known is null && open.TryGetValue((classId, readerId), out var other) && enrolments.Find(other) is { } mine && !over && !(row.To < frame.Today))
            {
                // A reader who was put into the class by hand, or by an id the source no longer has, takes the source's id on.
                if (mine.SourceId is not null && (kept.Contains(mine.Id) || source.Enrolments != SourceScope.Whole)) { Note(row.At, "userSourcedId", row.UserId, "This reader is in this class already by another row."); return; }
                known = mine;
            }
            if (known is null && over) return;
            var ended = over ? known!.To ?? frame.Today : row.To < frame.Today ? row.To : null;
            if (known is null && ended is not null && row.From is null) return;
            var next = known is null
                ? new Enrolment(makers.NewId(), row.SourceId, classId, readerId, row.From ?? frame.Today, ended)
                : known with { SourceId = Own(row.SourceId, known.SourceId, known.Id), From = row.From ?? known.From, To = ended };
            enrolments.Put(next);
            bySource[row.SourceId] = next.Id;
            if (next.To is null) open[(classId, readerId)] = next.Id;
            kept.Add(next.Id);
        }

        /// <summary>What a whole source leaves out has ended, and so has whatever belongs to readers and classes that are gone.</summary>
        private void End(HashSet<Guid> kept)
        {
            foreach (var e in state.Enrolments.Values.Where(e => e.To is null))
            {
                var left = readers.Find(e.ReaderId) is { Left: true } || classes.Find(e.ClassId) is { Closed: true };
                if (!left && (source.Enrolments != SourceScope.Whole || e.SourceId is null || kept.Contains(e.Id) || state.Classes.GetValueOrDefault(e.ClassId)?.YearId != frame.YearId)) continue;
                if (enrolments.Find(e.Id) is { To: null } now) enrolments.Put(now with { To = frame.Today });
            }
        }

        private bool Twice(Dictionary<string, RowPlace> seen, string id, RowPlace at)
        {
            if (seen.TryAdd(id, at)) return false;
            Stop(at, "sourcedId", id, $"This id stands in line {seen[id].Line} already.");
            return true;
        }

        private void Stop(RowPlace at, string column, string value, string reason) => problems.Add(new(at, column, value, reason, Stops: true));

        private void Note(RowPlace at, string column, string value, string reason) => problems.Add(new(at, column, value, reason, Stops: false));

        // What has no id of a source goes by its own, so that a roster written out here reads back in without a change.
        private static Dictionary<string, Guid> BySource<T>(IEnumerable<T> things, Func<T, string?> sourceId) where T : IRosterThing =>
            things.ToDictionary(t => sourceId(t) ?? t.Id.ToString(), t => t.Id);

        private static string? Own(string said, string? known, Guid id) => known is null && said == id.ToString() ? null : said;
    }
}
