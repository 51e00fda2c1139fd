import { Trash2 } from 'lucide-react';
import { Button } from './ui.js';

/** Takes a record out of its list. */
export function TakeOut({ name, onPress }: { name: string; onPress: () => void }) {
  return (
    <Button data-quiet aria-label={`Remove ${name}`} onPress={onPress}>
      <Trash2 aria-hidden />
    </Button>
  );
}
