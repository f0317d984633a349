import { renderCommand, renderHelp } from '../simulator/cli.ts';

const commands: Record<string, (words: string[]) => Promise<void>> = { render: renderCommand };

const [name, ...words] = process.argv.slice(2);
const command = name ? commands[name] : undefined;
if (!command) {
  const asked = !name || name === '--help';
  (asked ? process.stdout : process.stderr).write(renderHelp);
  process.exit(asked ? 0 : 2);
}
command(words).catch((error: Error) => {
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
});
