import { ref } from 'vue'

const open = ref(false)

/** Whether the kitchen line is open, for its key and for the button in the bar. */
export const useKitchenLine = () => open
