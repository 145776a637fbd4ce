using DeepCurrent.Core.Messages;

namespace DeepCurrent.Core.Grouping;

/// <summary>What a rule is about.</summary>
public enum GroupRuleKind
{
    Number,
    Smallest,
    Largest,
    Together,
    Apart,
    Fixed,
    Barred,
}

/// <summary>One of the rules a grouping must keep to.</summary>
/// <param name="One">The reader it names; empty for rules about all.</param>
/// <param name="Other">The second reader, where it names two.</param>
/// <param name="Figure">How many, or the group's number from 0.</param>
public sealed record GroupRule(GroupRuleKind Kind, string One, string Other, int Figure)
{
    public static IReadOnlyList<GroupRule> Of(GroupRules rules) =>
        [
            new(GroupRuleKind.Number, "", "", rules.Groups),
            new(GroupRuleKind.Smallest, "", "", rules.Smallest),
            new(GroupRuleKind.Largest, "", "", rules.Largest),
            .. rules.Together.Select(p => new GroupRule(GroupRuleKind.Together, p.One, p.Other, 0)),
            .. rules.Apart.Select(p => new GroupRule(GroupRuleKind.Apart, p.One, p.Other, 0)),
            .. rules.Fixed.Select(p => new GroupRule(GroupRuleKind.Fixed, p.Reader, "", p.Group)),
            .. rules.Barred.Select(p => new GroupRule(GroupRuleKind.Barred, p.Reader, "", p.Group)),
        ];

    /// <summary>The rule in words.</summary>
    /// <param name="reader">What a reader is called, by key.</param>
    /// <param name="group">What a group is called, by number.</param>
    public Message Said(Func<string, string> reader, Func<int, string> group) =>
        Kind switch
        {
            GroupRuleKind.Number => $"{Figure:count} groups",
            GroupRuleKind.Smallest => $"at least {Figure:count} readers in each group",
            GroupRuleKind.Largest => $"at most {Figure:count} readers in each group",
            GroupRuleKind.Together => $"{reader(One)} and {reader(Other)} together",
            GroupRuleKind.Apart => $"{reader(One)} and {reader(Other)} apart",
            GroupRuleKind.Fixed => $"{reader(One)} in {group(Figure)}",
            GroupRuleKind.Barred => $"{reader(One)} not in {group(Figure)}",
            _ => throw new InvalidOperationException($"There is no rule {Kind}."),
        };
}
