using System.Text.Json;
using CsCheck;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Tables;

namespace Formats.Tests;

public sealed class ContentTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("deep-current-content").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private void Write(string name, string text) => File.WriteAllText(Path.Combine(folder, name), text);

    private const string Head =
        "title: A Lamp\nkind: story\ntopic: Night\nfiction: true\nwords:\n  - word: lamp\n    part: noun\n    "
        + "meaning: a light\n    example: Light the lamp.\n";

    private const string Quiz =
        "- strand: author's craft\n  ask: Why a lamp?\n  choices:\n    - right: It was dark.\n      because: "
        + "The text says so.\n    - wrong: It was cold.\n      because: Cold is not told of.\n  proof:\n    all: "
        + "It was dark.\n";

    [Fact]
    public void Lines_stay_as_they_are_written_and_what_an_editor_wrapped_is_one_line()
    {
        const string wrapped =
            "The ferry leaves the quay at nine each morning, and it has done so for\nlonger than anybody who "
            + "lives here can remember.";
        IReadOnlyList<string> Of(string body) => new VersionFile("a", 20, body).Pages.Single();
        Of(wrapped).ShouldBe([wrapped.Replace('\n', ' ')]);
        Of(wrapped.Replace("\n", "  \n")).ShouldBe([wrapped], "two spaces are Markdown's break");
        Of("The tide comes in,\n    the tide goes out.").ShouldBe(["The tide comes in,\n    the tide goes out."]);
        Of(" One line.").ShouldBe(["One line."]);
        Of("a | b\n1 | a cell that is longer than any line of verse would ever be, and longer still")
            .Single()
            .ShouldContain('\n');
    }

    [Fact]
    public void A_folder_is_read_whole()
    {
        Write("text.yaml", Head);
        Write("quiz.yaml", Quiz);
        Write("a.md", "---\ntarget: 12\n---\n\n## Night\nIt was dark.\nShe lit the lamp.\n---\nThe end.\n");
        var text = ContentReader.Read(folder);
        text.Title.ShouldBe("A Lamp");
        text.Versions.Single().Target.ShouldBe(12);
        text.Versions.Single()
            .Pages.ShouldBe([
                ["## Night", "It was dark.\nShe lit the lamp."],
                ["The end."],
            ]);
        text.Versions.Single().Prose.ShouldBe("It was dark.\nShe lit the lamp.\n\nThe end.");
        text.Questions.Single().Strand.ShouldBe(Strand.AuthorsCraft);
        text.Questions.Single().Choices.Count(c => c.Right).ShouldBe(1);
    }

    [Fact]
    public void A_question_of_any_kind_is_written_and_read_as_it_is()
    {
        Write("text.yaml", Head);
        Write("a.md", "---\ntarget: 12\n---\n\nIt was dark.\n");
        var text = ContentReader.Read(folder);
        QtiTests.AnyQuestion.Sample(q =>
        {
            var files = ContentWriter.Files(text with { Questions = [q] });
            var back = ContentReader.Read("a-lamp", files).Questions.Single();
            JsonSerializer.Serialize(back).ShouldBe(JsonSerializer.Serialize(q));
        });
    }

    [Fact]
    public void What_is_missing_or_misspelt_is_said()
    {
        Should.Throw<ContentFault>(() => ContentReader.Read(folder)).Message.ShouldContain("has no text.yaml");
        Write("text.yaml", Head);
        Write("quiz.yaml", Quiz.Replace("author's craft", "magic"));
        Write("a.md", "---\ntarget: 12\n---\nIt was dark.");
        Should.Throw<ContentFault>(() => ContentReader.Read(folder)).Message.ShouldContain("no strand called magic");
        Write("quiz.yaml", Quiz);
        Write("a.md", "It was dark.");
        Should.Throw<ContentFault>(() => ContentReader.Read(folder)).Message.ShouldContain("front matter");
        Write("a.md", "---\ntarget: [\n---\nIt was dark.");
        Should.Throw<ContentFault>(() => ContentReader.Read(folder)).Message.ShouldContain("a.md, line");
    }

    [Fact]
    public void Faults_of_a_quiz_are_found()
    {
        Write("text.yaml", Head);
        Write("quiz.yaml", Quiz.Replace("It was dark.\n", "It rained.\n"));
        Write("a.md", "---\ntarget: 12\n---\nShe lit the lamp.");
        var faults = ContentRules.Faults(ContentReader.Read(folder)).ToList();
        faults.ShouldContain(f => f.ToString().Contains("has 1 question"));
        faults.ShouldContain(f => f.ToString().Contains("fewer than four strands"));
        faults.ShouldContain(f => f.ToString().Contains("has a proof that is not in version a"));
    }
}

/// <summary>What ships: how much of it there is. Whether it is good, the content check says.</summary>
public sealed class ShippedTests
{
    private static readonly Lazy<IReadOnlyList<TextFolder>> All = new(() =>
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !Directory.Exists(Path.Combine(at.FullName, "content", "salt-letters")))
            at = at.Parent;
        return [.. Directory.EnumerateDirectories(Path.Combine(at!.FullName, "content")).Select(ContentReader.Read)];
    });

    [Fact]
    public void Sixty_texts_of_twelve_kinds_and_topics_half_of_them_stories()
    {
        All.Value.Count.ShouldBeGreaterThanOrEqualTo(60);
        All.Value.Select(t => t.Kind).Distinct().Count().ShouldBeGreaterThanOrEqualTo(12);
        All.Value.Select(t => t.Topic).Distinct().Count().ShouldBeGreaterThanOrEqualTo(12);
        (All.Value.Count(t => t.Fiction) / (double)All.Value.Count).ShouldBeInRange(.4, .6);
    }

    [Fact]
    public void Twenty_five_have_versions_half_have_questions_on_the_way_and_every_strand_is_asked_for()
    {
        All.Value.Count(t => t.Versions.Count is >= 2 and <= 4).ShouldBeGreaterThanOrEqualTo(25);
        All.Value.Count(t => t.Questions.Any(q => q.OnTheWay)).ShouldBeGreaterThanOrEqualTo(30);
        All.Value.SelectMany(t => t.Questions)
            .Select(q => q.Strand)
            .Distinct()
            .Count()
            .ShouldBe(Enum.GetValues<Strand>().Length);
        All.Value.SelectMany(t => t.Questions).Select(q => q.Kind).Distinct().Count().ShouldBeGreaterThanOrEqualTo(6);
        All.Value.SelectMany(t => t.Versions).Max(v => v.Target).ShouldBeGreaterThanOrEqualTo(62);
        All.Value.SelectMany(t => t.Versions).Min(v => v.Target).ShouldBeLessThanOrEqualTo(3);
    }

    [Fact]
    public void A_topic_is_suggested_where_the_text_speaks_of_it_and_left_open_elsewhere()
    {
        string[] topics = [.. All.Value.Select(t => t.Topic).Append("The body").Distinct()];
        var suggested = All
            .Value.Select(t => (t.Topic, Said: Suggestions.Topic(TextCounter.Count(t.Versions[0].Prose), topics)))
            .Where(x => x.Said is not null)
            .ToList();
        suggested.ShouldNotContain(x => x.Said == "The body");
        suggested.Count.ShouldBeGreaterThan(3);
        (suggested.Count(x => x.Said == x.Topic) / (double)suggested.Count).ShouldBeGreaterThanOrEqualTo(0.5);
        Suggestions
            .Topic(
                TextCounter.Count(
                    "The body mends itself. When the body is cut, blood closes the wound. A body at rest mends faster."
                ),
                topics
            )
            .ShouldBe("The body");
    }
}

public sealed class CsvTests
{
    [Fact]
    public void A_cell_is_never_run_as_a_formula()
    {
        var csv = CsvFiles.Write([new RosterLine("=1+1", "@x", 4, "a, \"b\"", 30.5, 28, 33, "", 80, null, 3)]);
        csv.ShouldContain("'=1+1");
        csv.ShouldContain("'@x");
        csv.ShouldContain("\"a, \"\"b\"\"\"");
        csv.ShouldStartWith("GivenName,FamilyName,");
    }

    [Fact]
    public void Every_row_is_one_record_whatever_a_name_holds() =>
        Gen.String[Gen.Char.AlphaNumeric, 0, 12]
            .Array[1, 20]
            .Sample(names =>
                CsvFiles
                    .Write(names.Select(n => new RosterLine(n, "", 1, "", 1, 1, 1, "", null, null, 0)))
                    .Split("\r\n", StringSplitOptions.RemoveEmptyEntries)
                    .Length
                == names.Length + 1
            );
}
