using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Texts;

/// <summary>Parts a text into pages where a reader can pause.</summary>
public static class Pager
{
    /// <summary>Words on a page for readers of a depth: few for those who have just begun.</summary>
    public static int WordsOnPage(Fathoms depth) =>
        depth.Value switch
        {
            < 13 => 45,
            < 23 => 80,
            < 30 => 110,
            < 41 => 150,
            _ => 210,
        };

    /// <summary>Pages of whole paragraphs, each about as long as suits the depth. A heading stays with what follows it;
    /// a paragraph is never cut.</summary>
    /// <param name="paragraphs">Paragraphs in order; headings begin with #.</param>
    public static IReadOnlyList<IReadOnlyList<string>> Pages(IReadOnlyList<string> paragraphs, Fathoms depth)
    {
        var wanted = WordsOnPage(depth);
        List<List<string>> pages = [];
        List<string> page = [];
        var words = 0;
        foreach (var p in paragraphs)
        {
            var more = p.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Length;
            var onlyHeadings = page.TrueForAll(IsHeading);
            // A page ends before a paragraph that would bring it further over the wanted length than it is under it.
            if (page.Count > 0 && !onlyHeadings && words + more - wanted > wanted - words)
                Close();
            page.Add(p);
            words += more;
        }
        // What is left at the end, headings too, is the last page.
        if (page.Count > 0)
            pages.Add(page);
        return pages;

        void Close()
        {
            if (page.Count == 0)
                return;
            var end = page.Count;
            while (end > 1 && IsHeading(page[end - 1]))
                end--;
            pages.Add(page[..end]);
            page = page[end..];
            words = 0;
        }
    }

    private static bool IsHeading(string paragraph) => paragraph.StartsWith('#');
}
