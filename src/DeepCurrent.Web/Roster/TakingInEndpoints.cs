using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Roster;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <param name="Accept">The reader comes into the class that asked.</param>
/// <param name="Move">They leave the classes of the one who answers.</param>
public sealed record TakingInDecision(bool Accept, bool Move);

/// <summary>Readers who are in somebody else's class are asked for; their teacher, or whoever leads the school,
/// answers.</summary>
public static class TakingInEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/taking-in/{takingInId:guid}", Decide);
        api.MapDelete("/taking-in/{takingInId:guid}", TakeBack);
        api.MapGet("/school/taking-in", async (Desk desk, TakingInStore store) =>
        {
            await desk.Lead();
            return await store.OfSchool(desk.Who.SchoolId);
        });
    }

    private static async Task<RosterChanged> Decide(
        TakingInId takingInId,
        TakingInDecision decision,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        TakingInStore store
    )
    {
        desk.Library(Deed.SeeLibrary);
        var (asked, isIn) = await store.Find(takingInId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        var own = await roster.OwnClasses();
        if (!desk.Who.Lead && !isIn.Any(own.Contains))
            throw Refused.NotFound();
        var name = $"{asked.GivenName} {asked.FamilyName}".Trim();
        if (!decision.Accept)
        {
            await store.Decide(takingInId, accepted: false, desk.Who.Adult, desk.Now);
            return new(null, $"Declined the request for {name}");
        }
        var steps = await Steps(asked, decision.Move, own, desk, rosters);
        var change = await roster.Apply(
            steps,
            asked.ClassId,
            decision.Move
                ? (Message)$"Moved {name} to {asked.Class}, as {asked.AskedBy} requested"
                : $"Added {name} to {asked.Class}, as {asked.AskedBy} requested",
            async (c, t, _) =>
            {
                if (!await TakingInStore.Decide(c, t, takingInId, accepted: true, desk.Who.Adult, desk.Now))
                    throw Refused.Conflict("answered", $"Someone has answered this already.");
            }
        );
        return new(change, $"{name} is in {asked.Class} now");
    }

    /// <summary>Brings the reader into the class; moved, they leave the classes of whoever answers.</summary>
    private static async Task<ChangeSet> Steps(
        TakingIn asked,
        bool move,
        IReadOnlySet<ClassId> own,
        Desk desk,
        RosterStore rosters
    )
    {
        var readers = await rosters.Readers([asked.ReaderId], desk.Who.SchoolId);
        var enrolments = await rosters.Enrolments([asked.ReaderId]);
        var today = await desk.Today();
        var steps = RosterMoves.Enrol(readers, enrolments, asked.ClassId, today, EnrolmentId.New);
        if (move)
            steps = steps with
            {
                Enrolments =
                [
                    .. RosterMoves
                        .End(
                            enrolments,
                            e => e.ClassId != asked.ClassId && (desk.Who.Lead || own.Contains(e.ClassId)),
                            today
                        )
                        .Enrolments,
                    .. steps.Enrolments,
                ],
            };
        return steps;
    }

    /// <summary>Takes a request back, for a teacher of the class that made it.</summary>
    private static async Task TakeBack(TakingInId takingInId, Desk desk, TakingInStore store)
    {
        desk.Library(Deed.SeeLibrary);
        var (asked, _) = await store.Find(takingInId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        await desk.Class(asked.ClassId, Deed.ChangeRoster);
        await store.Decide(takingInId, accepted: false, desk.Who.Adult, desk.Now);
    }
}
