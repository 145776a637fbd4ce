using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Groups;

/// <summary>A move worth making.</summary>
/// <param name="To">The group the reader belongs to now.</param>
/// <param name="Likely">How likely they do.</param>
public sealed record AgainMove(ReaderId ReaderId, string To, Probability Likely);

/// <summary>Groups that have stood for some weeks, looked at again.</summary>
/// <param name="Weeks">For so long; null while it is too early, and then nothing else is here.</param>
/// <param name="Proposal">The best plan under the class's rules; null where the rules conflict.</param>
/// <param name="Moves">The surest first.</param>
public sealed record AgainView(int? Weeks, ProposalView? Proposal, IReadOnlyList<AgainMove> Moves);

/// <summary>Every few weeks: the few moves worth making.</summary>
public static class AgainEndpoints
{
    public static void Map(RouteGroupBuilder api) => api.MapGet("/classes/{classId:guid}/groups/again", Again);

    private static async Task<AgainView> Again(ClassId classId, Desk desk, GroupDesk groups)
    {
        var of = await groups.Of(classId);
        var clock = await desk.Clock();
        var weeks = LookAgain.Standing([.. of.Now.Select(g => clock.DayOf(g.ChangedAt))], await desk.Today());
        if (weeks is null)
            return new(null, null, []);
        var (view, moves) = await GroupEndpoints.Proposed(of, new(of, await groups.Rules(classId, of)));
        return new(
            weeks,
            view.Conflict.Count > 0 ? null : view,
            [
                .. LookAgain
                    .WorthMaking(moves)
                    .Select(m => new AgainMove(
                        ReaderId.From(Guid.Parse(m.Reader)),
                        view.Groups[m.To].Name,
                        new(m.Likely)
                    )),
            ]
        );
    }
}
