using DeepCurrent.Core.Access;

namespace DeepCurrent.Core.Roster;

/// <summary>Turns what a roster source says into a change to a school's roster. Said twice, it changes nothing the
/// second time; nothing is ended that did not come from the same source, and what a held-back row names stays as it
/// is.</summary>
public static partial class SourceReconciler
{
    private static readonly string[] TeachingRoles = ["teacher", "aide", "administrator", "proctor"];

    public static SourceResult Reconcile(RosterState state, SourceRoster source, SourceFrame frame, Makers makers) =>
        new Run(state, source, frame, makers).All();

    private sealed partial class Run(RosterState state, SourceRoster source, SourceFrame frame, Makers makers)
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
                    $"Readers with another guardian address here. It stays."
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
                if (!Twice(seen, row.SourceId, row.At))
                    Class(row);
            if (source.Classes == SourceScope.Whole)
                foreach (var c in state.Classes.Values.Where(Unspoken))
                    classes.Put(c with { Closed = true });
        }

        private void Class(SourceClass row)
        {
            if (row is { FirstDay: { } first, LastDay: { } last } && last < first)
            {
                held.Class(row.At, row.SourceId, row.Name);
                Stop(row.At, "endDate", $"{last:yyyy-MM-dd}", $"The class ends before it starts.");
                return;
            }
            var known = classIds.Before(row.SourceId, c => c.Name == row.Name) is { } id ? classes.Find(id) : null;
            if (known is null && row.Gone)
                return;
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

        /// <summary>An open class of this year that is the source's, and that it no longer speaks of.</summary>
        private bool Unspoken(RosterClass c) =>
            !c.Closed
            && classIds.Owns(c)
            && c.YearId == frame.YearId
            && !saidClasses.Contains(c.Id)
            && !held.HasClass(c.SourceId!, c.Name);

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
            Stop(at, "sourcedId", id, $"Line {seen[id].Line} already has this ID.");
            return true;
        }

        private void Hold(SourceEnrolment row, string column, string value, Message reason)
        {
            held.Enrolment(row.SourceId, row.ClassId, row.UserId);
            Stop(row.At, column, value, reason);
        }

        private void Stop(RowPlace at, string column, string value, Message reason) =>
            problems.Add(new(at, column, value, reason, Stops: true));

        private void Note(RowPlace at, string column, string value, Message reason) =>
            problems.Add(new(at, column, value, reason, Stops: false));

        private static Func<RosterReader, bool> SameName(SourceReader row) =>
            r => Names.Key(r.GivenName, r.FamilyName) == Names.Key(row.GivenName, row.FamilyName);

        private static string NameOf(RosterAdult a) =>
            Names.Split(a.Name) is var (given, family) ? Names.Key(given, family) : "";
    }
}
