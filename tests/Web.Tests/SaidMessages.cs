using System.Reflection;
using DeepCurrent.Core.Messages;
using Mono.Cecil;
using Mono.Cecil.Cil;

namespace Web.Tests;

/// <summary>Every sentence that the program can say, read from what the compiler made of its interpolated strings: so
/// none is missed, however it is written.</summary>
internal static class SaidMessages
{
    private static readonly string Handler = typeof(Message).FullName!;

    /// <param name="Key">The sentence as the catalogue has it.</param>
    /// <param name="Type">Where it is said.</param>
    public sealed record Said(string Key, string Type);

    public static IReadOnlyList<Said> In(params IEnumerable<Assembly> assemblies) =>
        [
            .. assemblies.SelectMany(a =>
            {
                using var module = ModuleDefinition.ReadModule(a.Location);
                return module.GetTypes().SelectMany(t => t.Methods.SelectMany(m => Of(m, t))).ToList();
            }),
        ];

    /// <summary>A sentence while it is put together. It says at its start how long it will be.</summary>
    private sealed class Part(int letters, int holes)
    {
        private int values,
            lettersLeft = letters,
            holesLeft = holes;

        public string Key { get; private set; } = "";

        public void Add(string literal)
        {
            Key += literal;
            lettersLeft -= literal.Length;
        }

        public void Add(bool counted)
        {
            Key += counted ? "{{count}}" : $"{{{{{values++}}}}}";
            holesLeft--;
        }

        public bool Whole => lettersLeft == 0 && holesLeft == 0;
    }

    private static IEnumerable<Said> Of(MethodDefinition method, TypeDefinition type)
    {
        if (!method.HasBody || type.FullName == Handler)
            yield break;
        var open = new Stack<Part>();
        foreach (var step in method.Body.Instructions)
        {
            if (step.Operand is not MethodReference call || call.DeclaringType.FullName != Handler || !Adds(step, open))
                continue;
            while (open.TryPeek(out var part) && part.Whole)
            {
                open.Pop();
                if (part.Key.Any(char.IsLetter) && Holes(part.Key).Any(char.IsLetter))
                    yield return new(part.Key, Outer(type).FullName);
            }
        }
        if (open.Count > 0)
            throw new InvalidOperationException($"A sentence of {method.FullName} was not read to its end.");
    }

    /// <summary>What a call adds to the sentences that are open; false where it adds nothing.</summary>
    private static bool Adds(Instruction step, Stack<Part> open)
    {
        var call = (MethodReference)step.Operand;
        switch (call.Name)
        {
            case ".ctor" when step.OpCode == OpCodes.Newobj && call.Parameters.Count == 2:
                open.Push(new(Number(step.Previous.Previous), Number(step.Previous)));
                return true;
            case nameof(Message.AppendLiteral):
                open.Peek().Add((string)step.Previous.Operand);
                return true;
            case nameof(Message.AppendFormatted):
                open.Peek().Add(call.Parameters.Count == 2 && step.Previous.Operand is "count");
                return true;
            default:
                return false;
        }
    }

    /// <summary>What is left of a key without its values.</summary>
    private static string Holes(string key) => System.Text.RegularExpressions.Regex.Replace(key, @"\{\{\w+\}\}", "");

    private static TypeDefinition Outer(TypeDefinition type) => type.DeclaringType is { } outer ? Outer(outer) : type;

    private static int Number(Instruction load) =>
        load.OpCode.Code switch
        {
            Code.Ldc_I4_0 => 0,
            Code.Ldc_I4_1 => 1,
            Code.Ldc_I4_2 => 2,
            Code.Ldc_I4_3 => 3,
            Code.Ldc_I4_4 => 4,
            Code.Ldc_I4_5 => 5,
            Code.Ldc_I4_6 => 6,
            Code.Ldc_I4_7 => 7,
            Code.Ldc_I4_8 => 8,
            Code.Ldc_I4_S => (sbyte)load.Operand,
            _ => (int)load.Operand,
        };
}
