using Google.OrTools.Sat;

namespace DeepCurrent.Core.Grouping;

/// <summary>The cheapest grouping around given middles, as those that a bound opens.</summary>
/// <remarks>The primal step of Lagrangian heuristics for the capacitated p-median problem: Lorena, L. A. N. and Senne,
/// E. L. F. (2004), A column generation approach to capacitated p-median problems.</remarks>
internal static class GroupAround
{
    private const double Scale = 1000;

    /// <param name="middles">A reader for each group.</param>
    /// <returns>The group of each block; null where none was found that keeps to the rules.</returns>
    public static int[]? Of(Arrangement a, IReadOnlyList<(int Reader, int Group)> middles, double seconds)
    {
        var model = new CpModel();
        var blocks = Enumerable.Range(0, a.Blocks.Length).ToList();
        var (places, costs) = (new BoolVar[blocks.Count, a.Groups], new List<(BoolVar Place, long Cost)>());
        foreach (var (reader, group) in middles)
        foreach (var b in blocks)
        {
            places[b, group] = model.NewBoolVar("");
            costs.Add((places[b, group], (long)Math.Round(Scale * (a.To[b, reader] + a.Moving[b, group]))));
            if (!a.May[b, group])
                model.Add(places[b, group] == 0);
        }
        foreach (var b in blocks)
            model.AddExactlyOne(Enumerable.Range(0, a.Groups).Select(g => places[b, g]));
        foreach (var (reader, group) in middles)
        {
            model.Add(places[a.BlockOf[reader], group] == 1);
            var size = LinearExpr.WeightedSum(
                blocks.Select(b => places[b, group]),
                blocks.Select(b => (long)a.Blocks[b].Length)
            );
            model.AddLinearConstraint(size, a.Rules.Smallest, a.Rules.Largest);
            foreach (var b in blocks)
            foreach (var o in blocks.Where(o => o < b && a.Apart[b, o]))
                model.AddAtMostOne([places[b, group], places[o, group]]);
        }
        model.Minimize(LinearExpr.WeightedSum(costs.Select(c => c.Place), costs.Select(c => c.Cost)));
        var solver = new CpSolver
        {
            StringParameters = FormattableString.Invariant(
                $"max_time_in_seconds:{seconds},num_workers:1,random_seed:7,linearization_level:2"
            ),
        };
        if (solver.Solve(model) is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
            return null;
        return [.. blocks.Select(b => Enumerable.Range(0, a.Groups).First(g => solver.BooleanValue(places[b, g])))];
    }
}
