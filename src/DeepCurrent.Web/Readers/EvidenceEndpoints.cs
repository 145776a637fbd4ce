using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Readers;

/// <summary>What a reader's level is built from: looked at piece by piece, left out with a reason, judged with a
/// reason, or set for a time.</summary>
public static class EvidenceEndpoints
{
    private const int LongestReason = 200;
    private static readonly double[] Sures = [2, 4, 6];

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/readers/{readerId:guid}/evidence", Account);
        api.MapPut("/classes/{classId:guid}/readers/{readerId:guid}/evidence", LeaveOut);
        api.MapPost("/classes/{classId:guid}/readers/{readerId:guid}/levels", State);
        api.MapPut("/classes/{classId:guid}/readers/{readerId:guid}/level", Set);
        api.MapDelete("/classes/{classId:guid}/readers/{readerId:guid}/level", End);
    }

    private static async Task<AccountView> Account(
        ReaderId readerId,
        Desk desk,
        DepthKeeper keeper,
        GivenStore earlier,
        RosterDesk roster
    )
    {
        var r = await desk.Reader(readerId, Deed.SeeReader);
        var yardstick = await roster.Yardstick();
        var evidence = await keeper.Evidence(readerId);
        var effects = (await keeper.Effects(readerId, evidence, yardstick.Year, yardstick.Chart)).ToDictionary(
            e => e.Row.Id,
            e => e.Effect
        );
        var titles = (await earlier.History(readerId)).ToDictionary(h => h.Ticket.Id, h => h.Title);
        var pieces = evidence
            .GroupBy(e => e.TicketId?.Value ?? e.RecordId?.Value ?? e.PartId?.Value ?? e.Id.Value)
            .Select(g => Piece([.. g], effects, titles))
            .OrderByDescending(p => p.At)
            .ToList();
        var mayJudge = desk.May(Deed.JudgeLevel, r);
        var set = await keeper.Set(readerId, desk.Now);
        var sd = set?.EstimateSd ?? r.Sd;
        return new(
            r.Depth,
            sd,
            mayJudge,
            pieces,
            EvidenceAccount.Surer(sd),
            [
                .. LevelLabels
                    .Systems(yardstick.Chart)
                    .Select(s => new LabelView(s, LevelLabels.Write(r.Depth, s, yardstick.Chart)))
                    .Where(l => l.Label.Length > 0),
            ],
            SetLevelView.Of(set, await desk.Clock())
        );
    }

    private static PieceView Piece(
        IReadOnlyList<EvidenceRow> rows,
        Dictionary<EvidenceId, EvidenceEffect> effects,
        Dictionary<TicketId, string> titles
    )
    {
        var counted = rows.Where(e => effects.ContainsKey(e.Id)).ToList();
        var last = counted.Count == 0 ? null : effects[counted[^1].Id].After;
        var byTeacher = rows.Select(e => LeftOut.ReasonOfTeacher(e.LeftOut)).OfType<string>().ToList();
        // The running record or the level itself, where questions hang on it.
        var first = rows.FirstOrDefault(e => e.Kind is not EvidenceKind.Answer) ?? rows[0];
        var source = first.Kind.SourceOf(first.PartId is not null);
        return new()
        {
            Ids = [.. rows.Select(e => e.Id)],
            At = rows[^1].At,
            What = source,
            Note = Note(source, first, rows, titles),
            TicketId = first.TicketId,
            Counted = counted.Count,
            LeftOut = LeftOutByRule(rows),
            Moved = counted.Sum(e => effects[e.Id].Moved),
            After = last?.Mean,
            SdAfter = last?.Sd,
            Reason = byTeacher.FirstOrDefault(),
            May = counted.Count + byTeacher.Count > 0,
            RecordId = first.RecordId,
        };
    }

    private static List<Message> LeftOutByRule(IReadOnlyList<EvidenceRow> rows) =>
        [
            .. rows.Where(e => e.LeftOut is not null && LeftOut.ReasonOfTeacher(e.LeftOut) is null)
                .GroupBy(e => e.LeftOut!)
                .Select(g => LeftOut.Said(g.Key, g.Count())),
        ];

    /// <summary>What a piece says, in words.</summary>
    private static Message Note(
        EvidenceSource source,
        EvidenceRow first,
        IReadOnlyList<EvidenceRow> rows,
        Dictionary<TicketId, string> titles
    )
    {
        var right = rows.Count(e => e.Correct == true);
        return source switch
        {
            EvidenceSource.LevelCheck => CheckNote(first, right, rows),
            EvidenceSource.Quiz =>
                $"{titles.GetValueOrDefault(first.TicketId ?? default, "–")}: {right} of {rows.Count} right on the first try",
            EvidenceSource.Level => first.Note.IsNothing ? Ranged(first) : $"{Ranged(first)}, {first.Note}",
            _ => rows.Count == 1 ? first.Note : $"{first.Note}; asked aloud, {right} of {rows.Count - 1} right",
        };
    }

    /// <summary>A stated level with half its 90 % range: what stands behind every ± of a level.</summary>
    private static Message Ranged(EvidenceRow level) =>
        $"{level.Value!.Value.Value:0.#} fm ± {1.645 * level.Sd!.Value:0.0}";

    /// <summary>What a part of a level check says, in words: its texts, and how many answers were right.</summary>
    private static Message CheckNote(EvidenceRow first, int right, IReadOnlyList<EvidenceRow> rows)
    {
        if (first.Kind is EvidenceKind.Level)
            return $"{first.Note}, {Ranged(first)}";
        return $"{first.NotedCheck}: {rows.Select(e => e.NotedPart).Distinct()}, {right} of {rows.Count} right";
    }

    private static Fathoms LevelOf(string? typed, string? system, LevelChart chart) =>
        LevelLabels.Read(typed ?? "", system ?? LevelLabels.InFathoms, chart) is { OnScale: true } level
            ? level
            : throw Refused.Field("level", $"Enter fathoms or a label of the chosen kind.");

    private static async Task<RosterChanged> LeaveOut(
        ClassId classId,
        ReaderId readerId,
        LeaveOutRequest request,
        Desk desk,
        ReaderStore readers,
        RosterDesk roster,
        ChangeStore changes
    )
    {
        var reader = await Member(classId, readerId, desk, readers);
        var reason = request.Reason?.Trim();
        new Faults()
            .If(
                reason is { Length: 0 or > LongestReason },
                "reason",
                $"Enter a reason of {LongestReason} letters or fewer."
            )
            .If(request.Ids is not { Count: > 0 and <= 500 }, "ids", $"Choose evidence to leave out.")
            .Refuse();
        var yardstick = await roster.Yardstick();
        var made = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Evidence,
            async (c, t) =>
            {
                var before = await EvidenceWriter.LeaveOut(
                    c,
                    t,
                    readerId,
                    request.Ids,
                    reason,
                    yardstick.Year,
                    yardstick.Chart,
                    desk.Now
                );
                var what = $"{Count(before.Count)} of {reader.GivenName}’s";
                return before.Count == 0
                    ? null
                    : new(
                        new EvidenceChange(readerId, before, null),
                        reason is null ? (Message)$"Included {what}" : $"Left out {what}: {reason}"
                    );
            }
        ) ?? throw Refused.Conflict("no-change", $"Nothing changed: it was so already, or a rule leaves it out.");
        return new(made.Id, made.Summary);
    }

    private static async Task<RosterChanged> State(
        ClassId classId,
        ReaderId readerId,
        JudgementRequest request,
        Desk desk,
        ReaderStore readers,
        RosterDesk roster,
        ChangeStore changes
    )
    {
        var reader = await Member(classId, readerId, desk, readers);
        var reason = request.Reason?.Trim() ?? "";
        new Faults()
            .If(reason.Length is 0 or > LongestReason, "reason", $"Enter a reason of {LongestReason} letters or fewer.")
            .If(!Sures.Contains(request.Sd), "sd", $"Choose how sure you are.")
            .Refuse();
        var yardstick = await roster.Yardstick();
        var level = LevelOf(request.Level, request.System, yardstick.Chart);
        var id = request.Id ?? EvidenceId.New();
        if (await changes.Made(classId, ChangeKind.Evidence, new { readerId, stated = id }) is { } before)
            return new(before.Id, before.Summary);
        var made = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Evidence,
            async (c, t) =>
            {
                var written = await EvidenceWriter.Insert(
                    c,
                    t,
                    readerId,
                    [EvidenceRow.Level(id, desk.Now, level, request.Sd) with { Note = Message.Verbatim(reason) }],
                    desk.Who.Adult
                );
                if (written == 0)
                    throw Refused.Taken();
                await DepthKeeper.Recompute(c, t, readerId, yardstick.Year, yardstick.Chart, desk.Now);
                return new(
                    new EvidenceChange(readerId, [], id),
                    $"Judged {reader.GivenName} at {level.Value:0.#} fm: {reason}"
                );
            }
        );
        return new(made!.Id, made.Summary);
    }

    private static async Task<RosterChanged> Set(
        ClassId classId,
        ReaderId readerId,
        SetLevelRequest request,
        Desk desk,
        ReaderStore readers,
        RosterDesk roster,
        ChangeStore changes
    )
    {
        var reader = await Member(classId, readerId, desk, readers);
        var reason = request.Reason?.Trim() ?? "";
        new Faults()
            .If(reason.Length is 0 or > LongestReason, "reason", $"Enter a reason of {LongestReason} letters or fewer.")
            .If(request.Until < await desk.Today(), "until", $"Choose today or a later day.")
            .Refuse();
        var yardstick = await roster.Yardstick();
        var level = LevelOf(request.Level, request.System, yardstick.Chart);
        if (await changes.Made(classId, ChangeKind.Evidence, new { set = new { id = request.Id } }) is { } before)
            return new(before.Id, before.Summary);
        DateTimeOffset? untilAt = request.Until is { } last ? (await desk.Clock()).End(last) : null;
        var made = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Evidence,
            async (c, t) =>
            {
                var replaced = await SetLevels.Set(
                    c,
                    t,
                    readerId,
                    request.Id,
                    desk.Who.Adult,
                    level.Value,
                    untilAt,
                    reason,
                    desk.Now
                );
                await DepthKeeper.Recompute(c, t, readerId, yardstick.Year, yardstick.Chart, desk.Now);
                return new(
                    new EvidenceChange(readerId, [], null, new(request.Id, replaced)),
                    request.Until is { } day
                        ? (Message)$"Set level of {reader.GivenName} to {level.Value:0.0} fm until {day}: {reason}"
                        : $"Set level of {reader.GivenName} to {level.Value:0.0} fm until the next level check: {reason}"
                );
            }
        );
        return new(made!.Id, made.Summary);
    }

    private static async Task<RosterChanged> End(
        ClassId classId,
        ReaderId readerId,
        Desk desk,
        ReaderStore readers,
        RosterDesk roster,
        ChangeStore changes
    )
    {
        var reader = await Member(classId, readerId, desk, readers);
        var yardstick = await roster.Yardstick();
        var made = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Evidence,
            async (c, t) =>
            {
                if (await SetLevels.End(c, t, readerId, desk.Now) is not { } ended)
                    return null;
                await DepthKeeper.Recompute(c, t, readerId, yardstick.Year, yardstick.Chart, desk.Now);
                return new(
                    new EvidenceChange(readerId, [], null, Ended: ended),
                    $"Ended the level set for {reader.GivenName}: the estimate counts again"
                );
            }
        ) ?? throw Refused.Conflict("no-change", $"No level is set. The estimate counts.");
        return new(made.Id, made.Summary);
    }

    private static async Task<RosterRow> Member(ClassId classId, ReaderId readerId, Desk desk, ReaderStore readers)
    {
        await desk.Class(classId, Deed.JudgeLevel);
        return (await readers.Roster(classId, await desk.Moment())).FirstOrDefault(r => r.Id == readerId)
            ?? throw Refused.NotFound();
    }

    private static string Count(int pieces) => pieces == 1 ? "one piece of evidence" : $"{pieces} pieces of evidence";
}
