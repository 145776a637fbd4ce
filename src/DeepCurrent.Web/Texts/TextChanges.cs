using DeepCurrent.Core.Access;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <summary>Who may change a text, and what goes with a change: its revision, its note, what it leaves to be looked
/// at.</summary>
internal static class TextChanges
{
    private const int LongestNote = 200;

    /// <summary>What the asker has made under an id.</summary>
    internal static async Task<TextOwning?> Mine(TextId? id, Desk desk, TextStore texts) =>
        id is { } known
        && await texts.Owning(known, desk.Who.SchoolId, desk.Who.Adult) is { } text
        && text.OwnerId == desk.Who.Adult
            ? text
            : null;

    /// <summary>True where two say the same, however they were measured.</summary>
    internal static bool Same(NewText a, NewText b)
    {
        static NewText Unmeasured(NewText x) =>
            x with
            {
                Versions = [.. x.Versions.Select(v => v with { Depth = default, DepthError = 0, Measure = "" })],
            };
        return Database.ToJson(Unmeasured(a)) == Database.ToJson(Unmeasured(b));
    }

    /// <summary>Proofs and words that are no longer in the text.</summary>
    internal static IEnumerable<Message> Lost(NewText text)
    {
        foreach (var (q, i) in text.Questions.Select((q, i) => (q, i + 1)))
        foreach (var v in text.Versions)
            if (
                !q.Written
                && (
                    q.Proof(v.Label) is not { } proof
                    || !Paragraphs.Holds(string.Join("\n", v.Pages.SelectMany(p => p)), proof)
                )
            )
                yield return $"Question {i}: its proof is not in version {v.Label}.";
        foreach (var w in text.Words)
            if (
                !text.Versions.Any(v =>
                    v.Pages.SelectMany(p => p).Any(p => p.Contains(w.Text, StringComparison.OrdinalIgnoreCase))
                )
            )
                yield return $"The word {w.Text} is not in the text.";
    }

    internal static async Task<int> Keep(
        NewText text,
        int expected,
        Message note,
        Desk desk,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        try
        {
            var revision = await keeper.Save(text, expected, desk.Who.Adult, note, desk.Now);
            await shelf.Refresh(text.Id);
            return revision;
        }
        catch (TextMoved)
        {
            throw Refused.Conflict(
                "stale",
                $"Someone else changed this text. Your words are still here: copy them, then reload the text."
            );
        }
    }

    /// <summary>A text its owner, or the lead of its school, may change. One that ships is copied first.</summary>
    internal static async Task<TextOwning> Changeable(TextId textId, Desk desk, TextStore texts)
    {
        desk.Library();
        var text = await texts.Owning(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        if (text.SchoolId is null)
            throw Refused.Conflict("ships", $"Library texts cannot be edited. Duplicate it and edit the copy.");
        return MayChange(text, desk)
            ? text
            : throw Refused.Conflict("not-yours", $"A colleague wrote this text. Duplicate it and edit the copy.");
    }

    /// <summary>True for a text its asker may change as it is.</summary>
    internal static bool MayChange(TextOwning text, Desk desk) =>
        text.SchoolId is not null && desk.May(Deed.ChangeText, text.OwnerId == desk.Who.Adult);

    /// <summary>The questions with the names that versions have now, where they had others.</summary>
    internal static IReadOnlyList<Question> Renamed(
        IReadOnlyList<Question> questions,
        IReadOnlyList<VersionBody> before,
        IReadOnlyList<NewVersion> now
    )
    {
        var names = before.ToDictionary(v => v.Label, v => now.FirstOrDefault(n => n.Id == v.Id)?.Label ?? v.Label);
        Dictionary<string, T> Named<T>(IReadOnlyDictionary<string, T> by) =>
            by.GroupBy(p => names.GetValueOrDefault(p.Key, p.Key)).ToDictionary(g => g.Key, g => g.First().Value);
        return names.All(n => n.Key == n.Value)
            ? questions
            :
            [
                .. questions.Select(q =>
                    q with
                    {
                        Proofs = Named(q.Proofs),
                        After = q.After is null ? null : Named(q.After),
                    }
                ),
            ];
    }

    internal static string Short(string? text, string instead, int most) =>
        text?.Trim() is { Length: > 0 } t ? t[..Math.Min(most, t.Length)] : instead;

    /// <summary>What a writer says of a change, or what it was.</summary>
    internal static Message Noted(string? note, Message instead) =>
        Short(note, "", LongestNote) is { Length: > 0 } words ? Message.Verbatim(words) : instead;

    internal static string Slug(string title) =>
        string.Join(
            '-',
            new string([.. title.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' ')]).Split(
                ' ',
                StringSplitOptions.RemoveEmptyEntries
            )
        )
            is { Length: > 0 } slug
            ? slug[..Math.Min(30, slug.Length)]
            : "text";
}
