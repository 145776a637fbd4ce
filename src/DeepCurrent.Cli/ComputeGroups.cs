using System.Text.Json;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;

namespace DeepCurrent.Cli;

/// <summary>compute groups: readers and rules in, the best groups out, or the smallest set of rules that conflict.</summary>
public static class ComputeGroups
{
    private const int MostReaders = 1000;
    private const double UsualSeconds = 8,
        MostSeconds = 600;

    public static JsonObject Run(TextReader input)
    {
        var f = Field.Of(input);
        var readers = Readers(f);
        var rules = Rules(f, readers.Select(r => r.Key).ToHashSet());
        var answer = GroupPlanner.Propose(
            readers,
            rules,
            f.Number("seconds", above: 0, below: MostSeconds, fallback: UsualSeconds)
        );
        return answer.Proposal is { } plan ? Plan(plan) : Conflict(readers, rules, answer.Conflict);
    }

    private static JsonObject Plan(GroupProposal plan) =>
        new()
        {
            ["groups"] = new JsonArray([
                .. plan.Groups.Select(g => new JsonObject
                {
                    ["representative"] = g.Representative.Key,
                    ["readers"] = Texts(g.Readers.Select(r => r.Key)),
                }),
            ]),
            ["cost"] = plan.Cost,
            ["bound"] = plan.Bound,
            ["gap"] = plan.Gap,
            ["proven"] = plan.Proven,
            ["moves"] = new JsonArray([
                .. plan.Moves.Select(m => new JsonObject
                {
                    ["reader"] = m.Reader,
                    ["from"] = m.From,
                    ["to"] = m.To,
                    ["probability"] = m.Likely,
                }),
            ]),
        };

    private static JsonObject Conflict(
        IReadOnlyList<GroupCandidate> readers,
        GroupRules rules,
        IReadOnlyList<GroupRule> conflict
    )
    {
        string Said(GroupRule rule) => rule.Said(r => r, g => $"group {g}").ToString();
        return new()
        {
            ["conflict"] = Texts(conflict.Select(Said)),
            ["fixes"] = Texts(
                GroupConflicts
                    .Fixes(readers, rules, conflict)
                    .Select(x =>
                        x.Figure is { } figure ? Said(x.Rule with { Figure = figure }) : $"not: {Said(x.Rule)}"
                    )
            ),
        };
    }

    private static JsonArray Texts(IEnumerable<string> texts) => new([.. texts.Select(t => JsonValue.Create(t))]);

    private static List<GroupCandidate> Readers(Field f)
    {
        var readers = f.List("readers")
            .Select(r => new GroupCandidate(
                r.Text("id"),
                new(r.Depth("depth")),
                r.Known("mastery") ? [.. r.List("mastery").Select(m => m.NumberOrNull(0, 100))] : [],
                r.Known("sd") ? r.Number("sd", atLeast: 0) : 0,
                r.Known("wcpm") ? new WordsPerMinute(r.Number("wcpm", atLeast: 0)) : null
            ))
            .ToList();
        if (readers.Count > MostReaders)
            throw new BadInput($"At most {MostReaders} readers.", "readers");
        var seen = new HashSet<string>();
        for (var i = 0; i < readers.Count; i++)
            if (!seen.Add(readers[i].Key))
                throw new BadInput("This id stands twice.", $"readers[{i}].id");
        return readers;
    }

    private static GroupRules Rules(Field f, HashSet<string> ids)
    {
        var groups = f.Whole("groups", atLeast: 1);
        var weights = f.Known("weights") ? f.Object("weights") : null;
        double Weight(string name, double usual) => weights?.Number(name, atLeast: 0, fallback: usual) ?? usual;
        var current = Places(f, "current", ids, groups, beyond: true);
        if (current.Select(c => c.Reader).Distinct().Count() < current.Count)
            throw new BadInput("A reader is in one group only.", "current");
        return new(groups, f.Known("smallest") ? f.Whole("smallest", 1) : 1, f.Whole("largest", atLeast: 1))
        {
            Together = Pairs(f, "together", ids),
            Apart = Pairs(f, "apart", ids),
            Fixed = Places(f, "fixed", ids, groups, beyond: false),
            Current = current,
            MoveCost = f.Number("moveCost", atLeast: 0, fallback: 1),
            Weights = new(
                Weight("depth", GroupWeights.Usual.Depth),
                Weight("strands", GroupWeights.Usual.Strands),
                Weight("rate", GroupWeights.Usual.Rate)
            ),
        };
    }

    private static string Reader(Field item, HashSet<string> ids) =>
        item.Value.ValueKind is JsonValueKind.String && ids.Contains(item.Value.GetString()!)
            ? item.Value.GetString()!
            : throw new BadInput("This should be the id of a reader.", item.Path);

    private static List<ReaderPair> Pairs(Field f, string name, HashSet<string> ids) =>
        [
            .. f.Two(name)
                .Select(p =>
                {
                    var pair = new ReaderPair(Reader(p.One, ids), Reader(p.Other, ids));
                    return pair.One == pair.Other
                        ? throw new BadInput("These should be two readers.", p.Other.Path)
                        : pair;
                }),
        ];

    private static List<InGroup> Places(Field f, string name, HashSet<string> ids, int groups, bool beyond) =>
        [
            .. f.Two(name)
                .Select(p =>
                {
                    var group = p.Other.NumberOrNull(0, beyond ? MostReaders : groups - 1);
                    return group is { } number && number == Math.Floor(number)
                        ? new InGroup(Reader(p.One, ids), (int)number)
                        : throw new BadInput("This should be the number of a group.", p.Other.Path);
                }),
        ];
}
