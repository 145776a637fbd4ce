using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;

namespace DeepCurrent.Web.Goals;

/// <summary>Where a term is.</summary>
public enum TermPlace
{
    Past,
    Now,
    Next,
}

/// <summary>A term whose goals can be looked at, or set.</summary>
public sealed record GoalTermView(TermId Id, string Name, DateOnly FirstDay, DateOnly LastDay, TermPlace Place);

/// <summary>A goal as it was before.</summary>
/// <param name="By">Null where they have gone.</param>
public sealed record EarlierGoalView(double Target, DateTimeOffset SetAt, string Reason, string? By);

/// <param name="SoFar">In the kind's own unit; null where nothing says it yet.</param>
/// <param name="Weeks">So far, week by week: words together, mean score, depth; null where there was nothing.</param>
/// <param name="Suggested">The goal that is reached with each of the ambitions, safest first.</param>
/// <param name="Ends">What the term ends with at least, with a chance of 19, 18 … 1 in 20.</param>
/// <param name="Goal">Null where none is set.</param>
/// <param name="Earlier">What was set before, latest first.</param>
public sealed record GoalOfKind(
    GoalKind Kind,
    double? SoFar,
    IReadOnlyList<double?> Weeks,
    IReadOnlyList<double> Suggested,
    IReadOnlyList<double> Ends,
    GoalStandingView? Goal,
    IReadOnlyList<EarlierGoalView> Earlier
);

/// <summary>A level check that level goals can start from.</summary>
/// <param name="Day">On which it was done.</param>
/// <param name="Level">What it alone says, run on to today.</param>
/// <param name="Half">Half of its 90 % range, fm.</param>
/// <param name="Contradicts">It says something else than the estimate, by more than chance.</param>
/// <param name="Suggested">As of <see cref="GoalOfKind"/>.</param>
/// <param name="Ends">As of <see cref="GoalOfKind"/>.</param>
public sealed record GoalCheck(
    CheckId CheckId,
    string Name,
    DateOnly Day,
    Fathoms Level,
    double Half,
    bool Contradicts,
    IReadOnlyList<double> Suggested,
    IReadOnlyList<double> Ends
);

/// <param name="UsualDepth">Middle depth of what was read lately; null where nothing was.</param>
/// <param name="Aim">The comprehension the school aims at in the reader's grade, percent; null where it has none.</param>
/// <param name="SchoolDaysLeft">Of the term, for this reader: without days that are known to be away.</param>
/// <param name="Checks">Level checks of the last twelve weeks, latest first.</param>
/// <param name="Rate">Silent rate at the reader's depth.</param>
/// <param name="UsualWeek">Words read and understood in a usual school week.</param>
/// <param name="Kinds">Every kind of goal, in one order.</param>
public sealed record GoalLine(
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    Fathoms Depth,
    Fathoms? UsualDepth,
    WordsPerMinute Rate,
    double UsualWeek,
    int? Aim,
    int SchoolDaysLeft,
    IReadOnlyList<GoalCheck> Checks,
    IReadOnlyList<GoalOfKind> Kinds
);

/// <param name="Term">The one that is shown; null where the year has none.</param>
/// <param name="WeeksInTerm">Weeks from its first day to its last.</param>
/// <param name="Ambitions">How likely goals can be asked to be, safest first.</param>
/// <param name="Outside">Which reading elsewhere is in the words.</param>
public sealed record GoalsView(
    GoalTermView? Term,
    IReadOnlyList<GoalTermView> Terms,
    int WeeksInTerm,
    double WeeksGone,
    int MinutesADay,
    int SchoolDaysLeft,
    IReadOnlyList<Probability> Ambitions,
    OutsideCounts Outside,
    IReadOnlyList<GoalLine> Lines
);

public sealed record GoalTarget(ReaderId ReaderId, GoalKind Kind, double Target);

/// <param name="TermId">Null for the term of today.</param>
public sealed record SetGoalsRequest(IReadOnlyList<GoalTarget> Targets, string? Reason, TermId? TermId = null);

public sealed record SetGoalsView(ChangeId? ChangeId, int Changed);
