using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Roster;

/// <summary>Turns a list of readers into a change to the roster. The same list again changes nothing.</summary>
public static class ListReconciler
{
    /// <param name="state">The school's roster now.</param>
    public static ListResult Reconcile(
        RosterState state,
        IReadOnlyList<ListRow> rows,
        ListFrame frame,
        Makers makers
    ) => new Run(state, frame, makers).All(rows);

    internal static (string Given, string Family) NameOf(ListRow row)
    {
        string given = Names.Tidy(row.GivenName),
            family = Names.Tidy(row.FamilyName);
        // A column of whole names, with nothing in the family-name column, is taken apart only where it is written
        // $"Family, Given".
        return family.Length == 0 && given.Contains(',') ? Names.Split(given)
            : given.Length == 0 && family.Length > 0 ? (family, "")
            : (given, family);
    }

    private static readonly Message SameChild = $"Someone at the school has this name. Is it the same child?",
        AnotherChild = $"This name is in the list twice. Is it another child?";

    private sealed class Run(RosterState state, ListFrame frame, Makers makers)
    {
        private readonly Draft<ReaderId, RosterReader> readers = new(state.Readers);
        private readonly Draft<EnrolmentId, Enrolment> enrolments = new(state.Enrolments);
        private readonly List<Step<StatedLevel>> levels = [];
        private readonly Dictionary<string, ReaderId> bySource = state
            .Readers.Values.Where(r => r.SourceId is not null)
            .GroupBy(r => r.SourceId!)
            .Where(g => g.Count() == 1)
            .ToDictionary(g => g.Key, g => g.First().Id);
        private readonly ILookup<string, RosterReader> byName = state.Readers.Values.ToLookup(r =>
            Names.Key(r.GivenName, r.FamilyName)
        );
        private readonly ILookup<ReaderId, Enrolment> open = state
            .Enrolments.Values.Where(e => e.To is null)
            .ToLookup(e => e.ReaderId);
        private readonly ILookup<ReaderId, double> stated = state.Levels.Values.ToLookup(l => l.ReaderId, l => l.Value);
        private readonly HashSet<(ReaderId Reader, ClassId Class)> joined = [];
        private readonly HashSet<ReaderId> spoken = [];
        private readonly HashSet<string> named = [];

        public ListResult All(IReadOnlyList<ListRow> rows)
        {
            var seen = new HashSet<string>();
            // A row that doubles a name and has no answer comes last: it may only mean a child whom no certain row
            // means.
            var waits = rows.Select(r =>
                {
                    var (given, family) = NameOf(r);
                    return !seen.Add(Names.Key(given, family))
                        && r.SameAs is null
                        && string.IsNullOrWhiteSpace(r.SourceId);
                })
                .ToList();
            var results = Enumerable
                .Range(0, rows.Count)
                .OrderBy(i => waits[i])
                .Select(i => (Index: i, Result: Row(rows[i])))
                .OrderBy(x => x.Index)
                .Select(x => x.Result)
                .ToList();
            return new(new([], [], readers.Steps(), [], enrolments.Steps(), levels), results);
        }

        private RowResult Row(ListRow row)
        {
            var problems = new List<RowProblem>();
            void Say(string column, string? value, Message reason, bool stops = true) =>
                problems.Add(new(new("", row.Line), column, value ?? "", reason, stops));

            var (given, family) = NameOf(row);
            if (given.Length == 0 && IsEmpty(row))
                return new(row.Line, RowFate.Empty, null, [], []);
            CheckNames(row, given, family, Say);
            var classId = ClassOf(row, Say);
            var grade = GradeOf(row, Say);
            var level = LevelOf(row, Say);
            CheckDetails(row, Say);
            if (problems.Exists(p => p.Stops))
                return new(row.Line, RowFate.Stopped, null, problems, []);

            var key = Names.Key(given, family);
            var known = Known(row, key, classId!.Value, out var twins);
            var again = known is null && row.SameAs is null && named.Contains(key);
            if (twins.Count > 0 || (again && string.IsNullOrWhiteSpace(row.SourceId)))
            {
                var asked = twins.Count > 0 ? SameChild : AnotherChild;
                Say("givenName", $"{given} {family}".Trim(), asked);
                return new(row.Line, RowFate.Question, null, problems, twins);
            }
            named.Add(key);
            return known is null
                ? Add(row, given, family, grade, level, classId.Value, problems)
                : Change(row, known, given, family, grade, level, classId.Value, problems);
        }

        private static void CheckNames(
            ListRow row,
            string given,
            string family,
            Action<string, string?, Message, bool> say
        )
        {
            if (given.Length == 0)
                say("givenName", row.GivenName, $"Enter the reader’s name.", true);
            else if (Names.Fault(given) is { } wrong)
                say("givenName", row.GivenName, wrong, true);
            if (Names.Fault(family) is { } wrongToo)
                say("familyName", row.FamilyName, wrongToo, true);
        }

        private static void CheckDetails(ListRow row, Action<string, string?, Message, bool> say)
        {
            if (!string.IsNullOrWhiteSpace(row.GuardianMail) && !Mail.HoldsSeveral(row.GuardianMail))
                say("guardianMail", row.GuardianMail, $"Enter an email address: name@school.org", true);
            foreach (var (detail, reason) in row.Details.Faults())
                say(detail.ToString(), row.Details[detail], reason, true);
        }

        private static bool IsEmpty(ListRow row) =>
            row.Details == ReaderDetails.None
            && new[] { row.Grade, row.Level, row.SourceId, row.GuardianMail, row.Class }.All(string.IsNullOrWhiteSpace);

        private int? GradeOf(ListRow row, Action<string, string?, Message, bool> say)
        {
            if (string.IsNullOrWhiteSpace(row.Grade))
                return null;
            var grade = Grades.Parse(row.Grade, frame.Chart);
            if (grade is null)
                say("grade", row.Grade, $"Enter a grade from K to 12 or a label from the level chart.", true);
            return grade;
        }

        private Fathoms? LevelOf(ListRow row, Action<string, string?, Message, bool> say)
        {
            if (string.IsNullOrWhiteSpace(row.Level))
                return null;
            var level = LevelLabels.Read(row.Level, frame.LevelSystem, frame.Chart);
            var bare = row.Level.Trim();
            if (level is null && frame.LevelSystem == LevelLabels.Unsaid && LevelLabels.IsBare(row.Level))
                say("level", row.Level, $"Choose the level unit above, or write “{bare} fm” or “grade {bare}”.", true);
            else if (level is null)
                say("level", row.Level, $"Enter a level in fathoms or one of the school’s labels.", true);
            else if (!level.Value.OnScale)
                say("level", row.Level, $"Enter a level from −20 to 100 fm.", true);
            return level;
        }

        private ClassId? ClassOf(ListRow row, Action<string, string?, Message, bool> say)
        {
            if (string.IsNullOrWhiteSpace(row.Class))
                return frame.ClassId;
            if (frame.OwnClasses.TryGetValue(Names.Tidy(row.Class).ToLowerInvariant(), out var id))
                return id;
            say("class", row.Class, $"You have no class with this name.", true);
            return null;
        }

        private RosterReader? Known(ListRow row, string key, ClassId classId, out IReadOnlyList<Twin> twins)
        {
            twins = [];
            if (
                !string.IsNullOrWhiteSpace(row.SourceId)
                && bySource.TryGetValue(row.SourceId.Trim(), out var bySourceId)
            )
                return Take(bySourceId);
            if (row.SameAs is { } answer)
                return answer == default ? Unclaimed(key, classId)
                    : state.Readers.ContainsKey(answer) ? Take(answer)
                    : null;
            if (Unclaimed(key, classId) is { } here)
                return here;
            var elsewhere = byName[key]
                .Where(r => !spoken.Contains(r.Id))
                .Select(r => new Twin(r.Id, r.FullName, r.Grade, Where(r)))
                .ToList();
            if (elsewhere.Count > 0)
                twins = elsewhere;
            return null;
        }

        /// <summary>A reader of this name who is in the class already and whom no row above has meant.</summary>
        private RosterReader? Unclaimed(string key, ClassId classId) =>
            byName[key]
                .Where(r => !spoken.Contains(r.Id) && open[r.Id].Any(e => e.ClassId == classId))
                .OrderBy(r => r.UserName, StringComparer.Ordinal)
                .FirstOrDefault()
                is { } found
                ? Take(found.Id)
                : null;

        private RosterReader Take(ReaderId id)
        {
            spoken.Add(id);
            return readers.Find(id)!;
        }

        private string Where(RosterReader r) =>
            r.Left ? "has left"
            : string.Join(
                ", ",
                open[r.Id]
                    .Select(e => state.Classes.TryGetValue(e.ClassId, out var c) ? c.Name : "")
                    .Where(n => n.Length > 0)
            )
                is { Length: > 0 } names
                ? names
            : $"in no class";

        private RowResult Add(
            ListRow row,
            string given,
            string family,
            int? grade,
            Fathoms? level,
            ClassId classId,
            List<RowProblem> problems
        )
        {
            var reader = Admission.Of(makers, given, family, grade ?? frame.UsualGrade) with
            {
                SourceId = Text(row.SourceId),
                Details = row.Details,
                GuardianMail = Mail.Several(row.GuardianMail),
            };
            readers.Put(reader);
            spoken.Add(reader.Id);
            if (reader.SourceId is not null)
                bySource[reader.SourceId] = reader.Id;
            Enrol(reader.Id, classId);
            if (level is { } depth)
                State(reader.Id, depth);
            return new(row.Line, RowFate.New, reader.Id, problems, []);
        }

        private RowResult Change(
            ListRow row,
            RosterReader known,
            string given,
            string family,
            int? grade,
            Fathoms? level,
            ClassId classId,
            List<RowProblem> problems
        )
        {
            var next = known with
            {
                GivenName = given,
                FamilyName = family.Length > 0 ? family : known.FamilyName,
                Grade = grade ?? known.Grade,
                SourceId = Text(row.SourceId) ?? known.SourceId,
                Source = Text(row.SourceId) is { } typed && typed != known.SourceId ? "" : known.Source,
                Details = row.Details.Over(known.Details),
                GuardianMail = Mail.Several(row.GuardianMail) ?? known.GuardianMail,
                Left = false,
            };
            readers.Put(next);
            var joins = Enrol(known.Id, classId);
            // A level that stood in the list before is not new evidence.
            var news = level is { } depth && !stated[known.Id].Any(l => Math.Abs(l - depth.Value) < 0.006);
            if (news)
                State(known.Id, level!.Value);
            return new(
                row.Line,
                joins ? RowFate.Joins
                    : next != known || news ? RowFate.Changed
                    : RowFate.Unchanged,
                known.Id,
                problems,
                []
            );
        }

        private bool Enrol(ReaderId readerId, ClassId classId)
        {
            if (open[readerId].Any(e => e.ClassId == classId) || !joined.Add((readerId, classId)))
                return false;
            enrolments.Put(new(makers.New<EnrolmentId>(), null, classId, readerId, frame.Today, null));
            return true;
        }

        private void State(ReaderId readerId, Fathoms level) =>
            levels.Add(
                new(null, new StatedLevel(makers.New<StatedLevelId>(), readerId, Math.Round(level.Value, 2), frame.Now))
            );

        private static string? Text(string? value) => Names.Tidy(value) is { Length: > 0 } text ? text : null;
    }
}
