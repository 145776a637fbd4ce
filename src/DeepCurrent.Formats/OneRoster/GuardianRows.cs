using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>Guardians of a file and whose guardians they are. Either row may say it: the reader's or the guardian's, as
/// an agent.</summary>
internal sealed class GuardianRows
{
    private readonly Dictionary<string, string> mails = [];
    private readonly Dictionary<string, HashSet<string>> ofReader = [];
    private readonly HashSet<string> readers = [],
        guardians = [];

    public void Reader(string id, IEnumerable<string> agents)
    {
        readers.Add(id);
        foreach (var agent in agents)
            Link(id, agent);
    }

    public void Guardian(string id, string mail, IEnumerable<string> agents)
    {
        guardians.Add(id);
        if (Mail.Holds(mail))
            mails[id] = mail;
        foreach (var agent in agents)
            Link(agent, id);
    }

    /// <summary>The addresses of a reader's guardians; null if there is none.</summary>
    public string? MailOf(string reader) =>
        ofReader.TryGetValue(reader, out var of)
            ? Mail.Several(
                string.Join(
                    ',',
                    of.Where(mails.ContainsKey).Order(StringComparer.Ordinal).Take(4).Select(g => mails[g])
                )
            )
            : null;

    /// <summary>How many guardians reach no reader.</summary>
    public int Unused
    {
        get
        {
            var reached = ofReader
                .Where(o => readers.Contains(o.Key))
                .SelectMany(o => o.Value)
                .Where(mails.ContainsKey)
                .ToHashSet();
            return guardians.Count(g => !reached.Contains(g));
        }
    }

    private void Link(string reader, string guardian)
    {
        if (!ofReader.TryGetValue(reader, out var of))
            ofReader[reader] = of = [];
        of.Add(guardian);
    }
}
