using System.Runtime.InteropServices;
using System.Text;
using DeepCurrent.Core.Readings;

namespace DeepCurrent.Voice;

/// <param name="Samples">One channel, 16 bits.</param>
/// <param name="Rate">Samples a second.</param>
public sealed record Saying(short[] Samples, int Rate, IReadOnlyList<SpokenWord> Words);

/// <summary>Says text by espeak-ng. The library has one voice box, so one text at a time.</summary>
public static partial class Speech
{
    private const int Synchronous = 2;
    private const int RateParameter = 1;
    private const int Characters = 1;
    private const uint Utf8 = 1;
    private const int WordEvent = 1;

    private static readonly Lock Box = new();
    private static readonly Heard Listening = Listener();
    private static readonly List<short> Samples = [];
    private static readonly List<(int Character, int Milliseconds)> Events = [];
    private static int hertz;

    [StructLayout(LayoutKind.Sequential)]
    private readonly struct Event
    {
        public readonly int Type;
        public readonly uint Of;
        public readonly int Character;
        public readonly int Length;
        public readonly int Milliseconds;
        public readonly int Sample;
        public readonly nint Mine;
        public readonly long Id;
    }

    /// <summary>What is asked of a voice.</summary>
    [StructLayout(LayoutKind.Sequential)]
    private struct Wanted
    {
        public nint Name;
        public nint Language;
        public nint Identifier;
        public byte Gender;
        public byte Age;
        public byte Variant;
        public byte Unused;
        public int Score;
        public nint Spare;
    }

    private unsafe delegate int Heard(short* samples, int count, Event* events);

    [LibraryImport("libespeak-ng.so.1", EntryPoint = "espeak_Initialize", StringMarshalling = StringMarshalling.Utf8)]
    private static partial int Initialize(int output, int length, string? path, int options);

    [LibraryImport("libespeak-ng.so.1", EntryPoint = "espeak_SetSynthCallback")]
    private static partial void SetCallback(nint heard);

    [LibraryImport("libespeak-ng.so.1", EntryPoint = "espeak_SetVoiceByProperties")]
    private static unsafe partial int SetVoice(Wanted* wanted);

    [LibraryImport("libespeak-ng.so.1", EntryPoint = "espeak_SetParameter")]
    private static partial int SetParameter(int parameter, int value, int relative);

    [LibraryImport("libespeak-ng.so.1", EntryPoint = "espeak_Synth")]
    private static unsafe partial int Synthesize(
        byte* text,
        nuint size,
        uint position,
        int positionType,
        uint end,
        uint flags,
        nint id,
        nint mine
    );

    /// <summary>The language of a voice there is; British English where there is none.</summary>
    public static string VoiceOf(string? language) =>
        language?.Split('-')[0] switch
        {
            "es" => "es",
            "en" when language is "en-US" => "en-us",
            _ => "en-gb",
        };

    /// <exception cref="InvalidOperationException">The library cannot speak.</exception>
    public static unsafe Saying Say(string text, string voice, int wordsPerMinute)
    {
        lock (Box)
        {
            if (hertz == 0)
            {
                hertz = Initialize(Synchronous, 500, null, 0);
                if (hertz <= 0)
                    throw new InvalidOperationException("espeak-ng could not be started.");
                SetCallback(Marshal.GetFunctionPointerForDelegate(Listening));
            }

            Samples.Clear();
            Events.Clear();
            Choose(voice);
            if (SetParameter(RateParameter, wordsPerMinute, 0) != 0)
                throw new InvalidOperationException($"espeak-ng cannot speak at {wordsPerMinute} words a minute.");
            var bytes = Encoding.UTF8.GetBytes(text + '\0');
            fixed (byte* at = bytes)
                if (Synthesize(at, (nuint)bytes.Length, 0, Characters, 0, Utf8, 0, 0) != 0)
                    throw new InvalidOperationException("espeak-ng could not say this.");
            return new([.. Samples], hertz, Placed(text));
        }
    }

    private static unsafe void Choose(string language)
    {
        fixed (byte* at = Encoding.UTF8.GetBytes(language + '\0'))
        {
            var wanted = new Wanted { Language = (nint)at };
            if (SetVoice(&wanted) != 0)
                throw new InvalidOperationException($"espeak-ng has no voice for {language}.");
        }
    }

    private static unsafe Heard Listener() => Collect;

    private static unsafe int Collect(short* samples, int count, Event* events)
    {
        if (samples != null)
            for (var i = 0; i < count; i++)
                Samples.Add(samples[i]);
        for (var e = events; e->Type != 0; e++)
            if (e->Type == WordEvent)
                Events.Add((e->Character, e->Milliseconds));
        return 0;
    }

    /// <summary>The library counts characters from 1, a page counts in UTF-16.</summary>
    private static List<SpokenWord> Placed(string text)
    {
        var starts = new List<int>();
        for (var i = 0; i < text.Length; i += char.IsSurrogatePair(text, i) ? 2 : 1)
            starts.Add(i);
        return
        [
            .. Events
                .Where(e => e.Character >= 1 && e.Character <= starts.Count)
                .Select(e => new SpokenWord(WordFrom(text, starts[e.Character - 1]), e.Milliseconds / 1000.0))
                .Where(w => w.At >= 0)
                .DistinctBy(w => w.At),
        ];
    }

    /// <summary>Where the word begins whose marks begin somewhere; −1 where there are marks alone.</summary>
    private static int WordFrom(string text, int at)
    {
        while (at < text.Length && !char.IsLetterOrDigit(text[at]))
        {
            if (char.IsWhiteSpace(text[at]))
                return -1;
            at++;
        }

        return at < text.Length ? at : -1;
    }
}
