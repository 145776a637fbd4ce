using DeepCurrent.Core.Messages;
using DeepCurrent.Data.Texts;

namespace DeepCurrent.Web.Tickets;

/// <summary>Words to know with what they mean in the language of a home.</summary>
internal static class HomeWords
{
    public static async Task<IReadOnlyList<MyWord>> Of(IReadOnlyList<Word> words, Language home, MeaningStore meanings)
    {
        var there = home is Language.English ? null : await meanings.Of(home, words);
        return
        [
            .. words.Select(w => new MyWord(
                w.Text,
                w.Part,
                w.Meaning,
                w.Example,
                there?.GetValueOrDefault((w.Text, w.Part), "")
            )),
        ];
    }
}
