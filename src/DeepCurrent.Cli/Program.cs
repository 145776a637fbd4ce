using DeepCurrent.Cli;

return args switch
{
    ["compute", "text"] => Compute.Run(ComputeText.Run, Console.OpenStandardInput(), Console.Out, Console.Error),
    ["compute", "reader"] => Compute.Run(ComputeReader.Run, Console.OpenStandardInput(), Console.Out, Console.Error),
    ["compute", "oral"] => Compute.Run(ComputeOral.Run, Console.OpenStandardInput(), Console.Out, Console.Error),
    ["compute", "questions"] => Compute.Run(
        ComputeQuestions.Run,
        Console.OpenStandardInput(),
        Console.Out,
        Console.Error
    ),
    ["compute", "groups"] => Compute.Run(ComputeGroups.Run, Console.OpenStandardInput(), Console.Out, Console.Error),
    ["compute", "goal"] => Compute.Run(ComputeGoal.Run, Console.OpenStandardInput(), Console.Out, Console.Error),
    ["compute", ..] => Usage(
        "deepcurrent compute text | reader | oral | questions | goal: one document on standard input, one JSON "
            + "document on standard output."
    ),
    ["content", "check", var folder] => ContentCheck.Run(folder, Console.Out),
    _ => Usage("deepcurrent start | test | compute text | reader | oral | questions | goal | content check FOLDER"),
};

static int Usage(string text)
{
    Console.Error.WriteLine(text);
    return 2;
}
