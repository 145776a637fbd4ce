using DeepCurrent.Core.Access;

namespace DeepCurrent.Core.Roster;

// Adults and readers.
public static partial class SourceReconciler
{
    private sealed partial class Run
    {
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
                        $"Add a role. The file does not say whether this is a reader or a teacher."
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
                if (!Twice(seen, row.SourceId, row.At))
                    Adult(row, free);
            if (source.Users == SourceScope.Whole)
                foreach (var a in state.Adults.Values.Where(Unspoken))
                    adults.Put(a with { Left = true });
        }

        private void Adult(SourceAdult row, ILookup<string, RosterAdult> free)
        {
            var known = adultIds.Before(row.SourceId, a => a.Name == row.Name) is { } id ? adults.Find(id) : null;
            if (known is null && row.Gone)
                return;
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

        private bool Unspoken(RosterAdult a) =>
            !a.Left
            && adultIds.Owns(a)
            && !saidAdults.Contains(a.Id)
            && !frame.Keeps.Contains(a.Id)
            && !held.HasUser(a.SourceId!, NameOf(a));

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
                if (!Twice(seen, row.SourceId, row.At))
                    Reader(row, free, gradeByClass);
            if (source.Users == SourceScope.Whole)
                foreach (var r in state.Readers.Values.Where(Unspoken))
                    readers.Put(r with { Left = true });
        }

        private void Reader(
            SourceReader row,
            ILookup<string, RosterReader> free,
            IReadOnlyDictionary<string, int?> gradeByClass
        )
        {
            var known = readerIds.Before(row.SourceId, SameName(row)) is { } id ? readers.Find(id) : null;
            if (known is null && row.Gone)
                return;
            var said = Grades.Parse(row.Grade, frame.Chart);
            if (known is null && Namesake(row, said, free) is { } one)
            {
                known = one;
                linked++;
            }
            if ((said ?? known?.Grade ?? gradeByClass.GetValueOrDefault(row.SourceId)) is not { } grade)
            {
                held.User(row.At, row.SourceId, Names.Key(row.GivenName, row.FamilyName));
                Stop(
                    row.At,
                    "grades",
                    row.Grade ?? "",
                    $"Neither this reader nor a class of theirs has a grade from KG to 12."
                );
                return;
            }
            if (!string.IsNullOrEmpty(row.Grade) && said is null)
                Note(row.At, "grades", row.Grade, $"Unknown grade. The reader's grade stays as it is.");
            var next = known is null ? Added(row, grade) : Changed(row, known, grade);
            readers.Put(next);
            readerIds.Say(row.SourceId, next.Id);
            saidReaders.Add(next.Id);
        }

        /// <summary>The one reader without this source's id who bears the name, and is in the grade if one is
        /// said.</summary>
        private RosterReader? Namesake(SourceReader row, int? grade, ILookup<string, RosterReader> free) =>
            free[Names.Key(row.GivenName, row.FamilyName)].Where(r => !saidReaders.Contains(r.Id)).ToList() is [var one]
            && (grade ?? one.Grade) == one.Grade
                ? one
                : null;

        private bool Unspoken(RosterReader r) =>
            !r.Left
            && readerIds.Owns(r)
            && !saidReaders.Contains(r.Id)
            && !held.HasUser(r.SourceId!, Names.Key(r.GivenName, r.FamilyName));

        private RosterReader Added(SourceReader row, int grade)
        {
            var (key, from) = readerIds.Key(row.SourceId, null);
            return Admission.Of(makers, row.GivenName, row.FamilyName, grade) with
            {
                SourceId = key,
                Source = from,
                GuardianMail = row.GuardianMail,
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
    }
}
