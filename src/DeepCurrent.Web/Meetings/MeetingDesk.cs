using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Meetings;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Meetings;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Groups;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Meetings;

/// <summary>Gets together what meetings of a class rest on.</summary>
public sealed class MeetingDesk(
    Desk desk,
    GroupDesk groups,
    MeetingStore meetings,
    TextStore texts,
    SchoolStore schools
)
{
    /// <summary>A meeting of a class in which the asker may do something.</summary>
    public async Task<MeetingRow> Meeting(MeetingId id, Deed deed)
    {
        var row = await meetings.Find(id) ?? throw Refused.NotFound();
        await desk.Class(row.ClassId, deed);
        return row;
    }

    /// <summary>The groups of a class, each with what its readers need taught.</summary>
    public async Task<IReadOnlyList<MeetingGroupView>> Groups(ClassId classId, Deed deed) =>
        await Groups(classId, deed, await groups.Every(classId, deed));

    /// <summary>The group of a meeting, where it still stands, with whoever is in the class or in one of its
    /// groupings.</summary>
    public async Task<(MeetingGroupView? Group, IReadOnlyList<RosterRow> Roster)> Room(MeetingRow m)
    {
        var of = await groups.Every(m.ClassId, Deed.SeeClass);
        var all = await Groups(m.ClassId, Deed.SeeClass, of);
        return (all.FirstOrDefault(g => g.GroupId == m.GroupId), of.Roster);
    }

    private async Task<IReadOnlyList<MeetingGroupView>> Groups(ClassId classId, Deed deed, GroupClass of)
    {
        var year = await schools.Year((await desk.Class(classId, deed)).SchoolYearId);
        var season = OralNorms.SeasonOf(await desk.Today(), year.FirstDay, year.LastDay);
        var missed = await meetings.WordsMissed(classId);
        var rates = of.Candidates.ToDictionary(c => c.Key, c => c.Rate);
        PointEvidence Evidence(RosterRow r) =>
            new(
                r.Id,
                of.Strands[r.Id].ToDictionary(s => s.Strand, s => (s.Right, s.Asked)),
                rates[r.Id.ToString()] is { } rate ? OralNorms.Place(r.Grade, season, rate.Value)?.Percentile : null,
                missed.GetValueOrDefault(r.Id)
            );
        var byId = of.Roster.ToDictionary(r => r.Id);
        return
        [
            .. of.Now.Select(g =>
            {
                var readers = g.ReaderIds.Where(byId.ContainsKey).ToList();
                var points = TeachingPoints.For([.. readers.Select(r => Evidence(byId[r]))]);
                return new MeetingGroupView(
                    g.Id,
                    g.Name,
                    readers,
                    points.Sum(p => p.Readers.Count),
                    [.. points.Select(PointView.Of)],
                    g.Leader?.Name
                );
            }),
        ];
    }

    /// <summary>The pages of a meeting's text in the version that fits the middle of its group, and what can be asked about
    /// them.</summary>
    public async Task<(IReadOnlyList<IReadOnlyList<string>> Pages, AskView? Ask)> Text(
        MeetingRow m,
        IReadOnlyList<Fathoms> depths
    )
    {
        if (m.TextId is not { } text)
            return ([], null);
        var versions = await texts.Versions(text, desk.Who.SchoolId);
        if (versions.Count == 0)
            return ([], null);
        var middle = depths.Count == 0 ? versions[0].Depth : depths.Order().ElementAt(depths.Count / 2);
        var version = versions[Forecast.BestVersion(middle, [.. versions.Select(v => v.Depth)])];
        var question = (await texts.Questions(text)).FirstOrDefault(q => !q.OnTheWay && q.Strand == m.Strand);
        return (
            (await texts.Body(version.Id)).Pages,
            question is null ? null : new(question.Stem, question.Proof(version.Label))
        );
    }

    /// <summary>What follows from what was seen so far.</summary>
    public async Task<NextMeetingView?> Next(MeetingRow m, IEnumerable<SeenRow> seen, MeetingGroupView? group)
    {
        var marks = seen.Where(s => s.Here).Select(s => s.Mark).OfType<SeenMark>().ToList();
        if (NextMeeting.After(marks) is not { } next)
            return null;
        var other =
            next.Move is NextMove.Another
                ? group?.Points.FirstOrDefault(p => p.Kind != m.Point || p.Strand != m.Strand)
                : null;
        var planned = await meetings.After(m.GroupId, m.Day);
        return new(next.Move, next.Why, other, planned?.Id, planned?.Day);
    }
}
