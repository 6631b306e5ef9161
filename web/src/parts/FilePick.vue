<script setup lang="ts">
import Upload, { UploadDragger } from 'ant-design-vue/es/upload';
import { computed, ref } from 'vue';
import { t } from '../words/parts.ts';

/** A file to be read in here: chosen, or dropped where there is room for that. Nothing is sent anywhere by choosing it. */
const props = withDefaults(
  defineProps<{
    /** What is pressed: verb and object. */
    label: string;
    /** Endings and types, as a file field has them. */
    accept: string;
    /** With an area to drop a file on. */
    drop?: boolean;
    disabled?: boolean;
  }>(),
  { drop: false, disabled: false },
);
const emit = defineEmits<{ pick: [file: File] }>();
const endings = computed(() => props.accept.split(',').filter((each) => each.startsWith('.')));
const refused = ref('');
function take(file: File): false {
  refused.value = '';
  emit('pick', file);
  return false;
}
const refuse = () => {
  refused.value = t('noFileTheseKinds', { value: endings.value.join(', ') });
};
</script>

<template>
  <div class="file-pick">
    <component
      :is="drop ? UploadDragger : Upload"
      :accept="accept"
      :multiple="false"
      :show-upload-list="false"
      :disabled="disabled"
      :before-upload="take"
      @reject="refuse"
    >
      <span :class="drop ? 'area' : 'choice'"
        >{{ label }}<span v-if="drop" class="soft small">{{ t('dropHere', { endings: endings.join(', ') }) }}</span></span
      >
    </component>
    <p v-if="refused" class="wrong small" role="alert">{{ refused }}</p>
  </div>
</template>

<style scoped>
.area {
  display: grid;
  gap: 2px;
  justify-items: center;
  font-weight: 600;
}

.area .small {
  font-weight: 400;
}
</style>
