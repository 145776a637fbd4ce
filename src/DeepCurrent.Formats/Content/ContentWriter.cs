using System.Globalization;
using YamlDotNet.Core;
using YamlDotNet.Serialization;
using YamlDotNet.Serialization.EventEmitters;
using YamlDotNet.Serialization.NamingConventions;

namespace DeepCurrent.Formats.Content;

/// <summary>Writes a text as a content folder; <see cref="ContentReader"/> reads it back without a change.</summary>
public static class ContentWriter
{
    private static readonly ISerializer Yaml = new SerializerBuilder()
        .WithNamingConvention(CamelCaseNamingConvention.Instance)
        .ConfigureDefaultValuesHandling(DefaultValuesHandling.OmitNull | DefaultValuesHandling.OmitDefaults)
        .WithEventEmitter(next => new Quoted(next))
        .DisableAliases()
        .Build();

    /// <summary>The files of the folder, by name.</summary>
    public static IReadOnlyDictionary<string, string> Files(TextFolder text)
    {
        var files = new Dictionary<string, string>
        {
            ["text.yaml"] = Yaml.Serialize(
                new Head
                {
                    Title = text.Title,
                    Kind = text.Kind,
                    Topic = text.Topic,
                    Fiction = text.Fiction,
                    Spelling = text.Spelling,
                    Blurb = text.Blurb,
                    Season = text.Season,
                    Words =
                    [
                        .. text.Words.Select(w => new WordEntry
                        {
                            Word = w.Word,
                            Part = w.PartOfSpeech,
                            Meaning = w.Meaning,
                            Example = w.Example,
                        }),
                    ],
                }
            ),
        };
        if (text.Questions.Count > 0)
            files["quiz.yaml"] = Yaml.Serialize(text.Questions.Select(QuizEntry.Of).ToList());
        foreach (var v in text.Versions)
            files[$"{v.Label}.md"] = string.Create(
                CultureInfo.InvariantCulture,
                $"---\ntarget: {v.Target:0.##}\n---\n\n{v.Body}\n"
            );
        return files;
    }

    /// <summary>Quotes every text that is a value, so that what looks like a number or a mark stays a text.</summary>
    private sealed class Quoted(IEventEmitter next) : ChainedEventEmitter(next)
    {
        public override void Emit(ScalarEventInfo eventInfo, IEmitter emitter)
        {
            if (eventInfo.Source.Type == typeof(string))
                eventInfo.Style = ScalarStyle.DoubleQuoted;
            base.Emit(eventInfo, emitter);
        }
    }
}
